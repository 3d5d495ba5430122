import type { PlaceWithRoom } from "#app/server/day/room-of-places.server.ts";

/** Where a pack may go, with the room that is left there. */
export const placeOptions = (places: readonly Pick<PlaceWithRoom, "id" | "name" | "room">[]) => [
  { value: "", label: "not chosen" },
  ...places.map((place) => ({
    value: String(place.id),
    label: `${place.name}, room for ${Math.max(0, place.room)}`,
  })),
];
