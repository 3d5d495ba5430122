import { createElement, type FunctionComponent, type ReactNode } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { createMemoryRouter, RouterProvider } from "react-router";
import { CONTEXT } from "#app/server/farm/here-of-tests.ts";
import { ShowProvider } from "#app/ui/use-show.tsx";
import type { Reading } from "#app/words/show.ts";

export const IN_POUNDS: Reading = {
  unitSystem: "us",
  currency: "USD",
  timeZone: "America/New_York",
  locale: "en-US",
};
export const IN_KILOGRAMS: Reading = {
  unitSystem: "metric",
  currency: "EUR",
  timeZone: "America/New_York",
  locale: "en-GB",
};

const SIGNS: Readonly<Record<string, string>> = {
  "&#x27;": "'",
  "&quot;": '"',
  "&lt;": "<",
  "&gt;": ">",
  "&amp;": "&",
};

/** What a part of a page says to a reader of it, charts by their titles, without its markup. */
export function said(part: ReactNode, reading: Reading = IN_POUNDS): string {
  const page = <ShowProvider reading={reading}>{part}</ShowProvider>;
  const router = createMemoryRouter([{ path: "*", element: page }]);
  return renderToStaticMarkup(<RouterProvider router={router} />)
    .replace(/<\/(?:p|li|ul|td|th|tr|h\d|title|text|dt|dd|summary|caption|div|span(?=><))>/g, " ")
    .replace(/<[^>]+>/g, "")
    .replace(/&(?:#x27|quot|lt|gt|amp);/g, (sign) => SIGNS[sign]!)
    .replace(/\s+/g, " ")
    .trim();
}

/** As much of a route as a page is made from. */
interface PageModule {
  readonly loader: (args: never) => unknown;
  readonly default: (props: never) => unknown;
}

/** What a page says to whoever opens it. */
export function opened(
  page: PageModule,
  { params = {}, query = "" }: { params?: Readonly<Record<string, string>>; query?: string } = {},
  reading: Reading = IN_POUNDS,
): string {
  const request = new Request(`http://farm/x${query}`);
  const loaderData = page.loader({ params, request, context: CONTEXT } as never);
  const part = page.default as unknown as FunctionComponent<{ loaderData: unknown }>;
  return said(createElement(part, { loaderData }), reading);
}

/** The first thing among words that no reader could make sense of, with what stands about it. */
export const nonsenseIn = (words: string): string | undefined =>
  words.match(/.{0,60}(?:NaN|Infinity|undefined|∞|\[object|Invalid Date).{0,40}/)?.[0];
