/**
 * Reads one number as people type it: `4.58`, `4,58`, `2,080`, `1,234.50`, `9 1/4`, `4½`.
 *
 * A lone comma before exactly three digits is a thousands mark when `commaGroups` says so;
 * otherwise it is the decimal mark.
 *
 * @returns the number, not negative, or undefined if the text is not a number
 */
export function readNumber(text: string, { commaGroups = true } = {}): number | undefined {
  const plain = spellOutFractions(text).trim();
  const fraction = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(plain);
  if (fraction) {
    const [, whole = "0", numerator, denominator] = fraction;
    return Number(denominator) === 0 ? undefined : Number(whole) + Number(numerator) / Number(denominator);
  }
  if (/^\d{1,3}(,\d{3})+\.\d+$/.test(plain)) return Number(plain.replaceAll(",", ""));
  if (commaGroups && /^[1-9]\d{0,2}(,\d{3})+$/.test(plain)) return Number(plain.replaceAll(",", ""));
  if (/^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/.test(plain)) return Number(plain.replace(",", "."));
  return undefined;
}

const VULGAR_FRACTIONS: Readonly<Record<string, string>> = {
  "¼": "1/4",
  "½": "1/2",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
  "⅓": "1/3",
  "⅔": "2/3",
};

/** Writes `4½` as `4 1/2`, so that one reader serves both. */
export function spellOutFractions(text: string): string {
  return text.replace(/[¼½¾⅛⅜⅝⅞⅓⅔]/g, (mark) => ` ${VULGAR_FRACTIONS[mark]}`);
}
