/** The longer side of a kept picture, pixels: enough to see a bruise. */
const LONGER_SIDE = 1280;
const QUALITIES = [0.8, 0.65, 0.5, 0.35, 0.2];
/** Base64 makes four characters of three bytes. */
const MOST_CHARACTERS = 200 * 1024 * (4 / 3);

/** A camera's picture as a JPEG of at most 200 kB, as a data address; undefined where the phone can't read it. */
export async function shrinkPicture(file: Blob): Promise<string | undefined> {
  try {
    const bitmap = await createImageBitmap(file);
    for (const scale of [1, 0.6, 0.4]) {
      const size = (scale * LONGER_SIDE) / Math.max(LONGER_SIDE, bitmap.width, bitmap.height);
      const canvas = document.createElement("canvas");
      canvas.width = Math.max(1, Math.round(bitmap.width * size));
      canvas.height = Math.max(1, Math.round(bitmap.height * size));
      canvas.getContext("2d")!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      for (const quality of QUALITIES) {
        const jpeg = canvas.toDataURL("image/jpeg", quality);
        if (jpeg.length <= MOST_CHARACTERS) return jpeg;
      }
    }
  } catch {
    // Not a picture that this phone can read.
  }
  return undefined;
}
