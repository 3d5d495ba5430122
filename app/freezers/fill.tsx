import { plural } from "#app/words/show.ts";

/** How full a place is, as a bar and in words. A space is what one whole bird takes. */
export function Fill({ taken, capacity }: { taken: number; capacity: number }) {
  const isFull = taken >= capacity;
  return (
    <div className="pb-3">
      <svg aria-hidden="true" viewBox="0 0 100 6" preserveAspectRatio="none" className="h-2 w-full">
        <rect width="100" height="6" className="fill-rule" />
        <rect
          width={Math.min(100, (100 * taken) / capacity)}
          height="6"
          className={isFull ? "fill-barn" : "fill-pine"}
        />
      </svg>
      <p className={isFull ? "font-semibold text-barn" : "text-soft"}>
        {taken} of {plural(capacity, "space")} filled,{" "}
        {isFull
          ? `full${taken > capacity ? `, ${taken - capacity} over capacity` : ""}`
          : `room for ${capacity - taken} more`}
      </p>
    </div>
  );
}
