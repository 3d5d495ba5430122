import { cityMapping } from "city-timezones";

/** A town by which a farm says where it is. */
export interface Town {
  /** With its state or country: "Concord, New Hampshire". */
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly timeZone: string;
}

/** Towns shown for what was typed so far. */
const MOST_TOWNS = 6;
const MOST_CHARACTERS = 60;

const plain = (text: string) =>
  text
    .normalize("NFD")
    .replace(/\p{Mn}/gu, "")
    .toLowerCase();

/** Towns whose names begin with what was typed, the largest first: "conc", or "concord, new h". */
export function townsLike(typed: string): Town[] {
  const [town = "", region = ""] = plain(typed.slice(0, MOST_CHARACTERS))
    .split(",")
    .map((part) => part.trim());
  if (town.length < 2) return [];
  return cityMapping
    .filter(
      ({ city, province, country }) =>
        plain(city).startsWith(town) &&
        (region === "" || plain(province ?? "").startsWith(region) || plain(country).startsWith(region)),
    )
    .toSorted((one, other) => (other.pop ?? 0) - (one.pop ?? 0))
    .slice(0, MOST_TOWNS)
    .map(({ city, province, country, lat, lng, timezone }) => ({
      name: `${city}, ${country === "United States of America" ? province : country}`,
      latitude: Math.round(lat * 100) / 100,
      longitude: Math.round(lng * 100) / 100,
      timeZone: timezone,
    }));
}
