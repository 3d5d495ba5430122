import { Dialog } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { areLettersOn, turnLetters } from "#app/ui/keys/letter-keys.ts";
import { isPressedIn, useHotkeys } from "#app/ui/keys/use-hotkeys.ts";

const PLACES: Readonly<Record<string, { to: string; name: string }>> = {
  b: { to: "/batches", name: "Batches" },
  e: { to: "/season", name: "Season" },
  d: { to: "/days", name: "Days" },
  o: { to: "/freezers", name: "Freezers" },
  k: { to: "/books", name: "Books" },
  y: { to: "/farm", name: "Farm" },
};

/** Keys that work on one screen only, listed with the others by `?`. */
const ON_SCREENS = [
  { where: "Run", keys: "Space: bird in the chill tank · u: undo · p: pause or resume" },
  { where: "Season", keys: "← and → on Earlier or Later: move the birds to another day" },
  { where: "Pack", keys: "Enter: save weight · Alt with s, t, c, p, or x: use · Alt with 1 to 9: product" },
];

/** `g` and a letter goes to a section; `?` lists the keys, and so does a button, which is left where letters are turned off. */
export function KeyList() {
  const [isOpen, setIsOpen] = useState(false);
  const [hasLetters, setHasLetters] = useState(true);
  useEffect(() => setHasLetters(areLettersOn()), []);
  const navigate = useNavigate();
  const isGoing = useRef(false);
  useHotkeys((event) => {
    if (isPressedIn(event, "input, textarea, select")) return undefined;
    if (event.ctrlKey || event.metaKey || event.altKey) return undefined;
    const place = isGoing.current ? PLACES[event.key] : undefined;
    isGoing.current = event.key === "g";
    if (place) return () => navigate(place.to);
    return event.key === "?" ? () => setIsOpen(true) : undefined;
  });
  return (
    <Dialog.Root open={isOpen} onOpenChange={setIsOpen}>
      <Dialog.Trigger className="lone-link">Keys</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-night opacity-70" />
        <Dialog.Content className="fixed inset-x-4 top-16 z-30 mx-auto grid max-w-prose gap-3 bg-leaf p-6 text-ink">
          <Dialog.Title className="text-2xl">Keys</Dialog.Title>
          <Dialog.Description>Press g, then a letter, to go to a section.</Dialog.Description>
          <dl className="grid grid-cols-2 gap-x-6 gap-y-1">
            {Object.entries(PLACES).map(([key, { name }]) => (
              <div key={key} className="flex gap-3">
                <dt className="w-10 font-mono">g {key}</dt>
                <dd>{name}</dd>
              </div>
            ))}
          </dl>
          {ON_SCREENS.map(({ where, keys }) => (
            <p key={where}>
              <b>{where}</b> {keys}
            </p>
          ))}
          <label className="flex min-h-11 items-center gap-3 border-t border-rule pt-2">
            <input
              type="checkbox"
              className="size-5"
              checked={hasLetters}
              onChange={({ target: { checked } }) => {
                turnLetters(checked ? "on" : "off");
                setHasLetters(checked);
              }}
            />
            Keys of a single letter or number work on this device
          </label>
          <Dialog.Close className="min-h-12 border border-soft px-5 font-semibold">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
