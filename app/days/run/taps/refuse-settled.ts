import { data } from "react-router";

/** A settled day takes no more taps: in a word to a phone's queue, as a page to a person. */
export function refuseSettled(isForPhone: boolean): Response {
  const words = "This day is settled and locked. Reopen it under Settle first.";
  if (isForPhone) return new Response(words, { status: 409 });
  throw data(words, { status: 409 });
}
