import { farmContext } from "#app/server/farm/farm-context.server.ts";
import "#app/app.css";
import { type ReactNode, useEffect, useState } from "react";
import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
  useRouteLoaderData,
} from "react-router";
import { config } from "zod";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { spineWords } from "#app/server/farm/spine.server.ts";
import { thisFarm } from "#app/server/farm/this-farm.server.ts";
import { refuseUnlessMay } from "#app/server/visitor/refusal.server.ts";
import { AT_THE_FARM, asVisitor, visitorContext, visitorOf } from "#app/server/visitor/visitor.server.ts";
import { withoutMoney } from "#app/server/visitor/without-money.server.ts";
import { useHeadingFocus } from "#app/ui/keys/use-heading-focus.ts";
import { keepNonce, useNonce } from "#app/ui/nonce.ts";
import { ButtonLink } from "#app/ui/sheet.tsx";
import { Spine } from "#app/ui/spine.tsx";
import { markUnanswered, unansweredPath } from "#app/ui/typed-draft.ts";
import { UndoRemoval } from "#app/ui/undo-removal.tsx";
import { ShowProvider } from "#app/ui/use-show.tsx";
import { RoleProvider } from "#app/ui/visitor/role.tsx";
import { DEFAULT_LOCALE, localeFormats } from "#app/words/locale.ts";
import { showFor } from "#app/words/show.ts";
import type { Route } from "./+types/root.ts";

// Reading without functions made of text, which the page's own policy forbids.
if (typeof document !== "undefined") config({ jitless: true });

export const meta: Route.MetaFunction = () => [{ title: "Pale Morning" }];

export const links: Route.LinksFunction = () => [
  { rel: "icon", href: "/icon.svg", type: "image/svg+xml" },
  { rel: "manifest", href: "/farm.webmanifest" },
];

export const middleware: Route.MiddlewareFunction[] = [
  async ({ context, request, params, pattern }, next) => {
    const { here, life, ready } = thisFarm();
    await ready;
    const visitor = import.meta.env.DEV ? AT_THE_FARM : await visitorOf(here.file, request, here.now());
    refuseUnlessMay(here, visitor, { request, params, pattern });
    context.set(visitorContext, visitor);
    context.set(farmContext, visitor.role === "owner" ? here : withoutMoney(here));
    context.set(farmLifeContext, life);
    return asVisitor(visitor, next);
  },
];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { role, name: deviceName } = context.get(visitorContext);
  const farm = here.file.farm();
  if (!farm || role === undefined) return { role, deviceName, farm: undefined };
  const { name, unitSystem, currency, timeZone, locale } = farm;
  return {
    role,
    deviceName,
    farm: {
      name,
      reading: { unitSystem, currency, timeZone, locale, seesMoney: role === "owner" },
      words: spineWords(here, farm),
    },
  };
}

export function Layout({ children }: { children: ReactNode }) {
  const loaded = useRouteLoaderData<typeof loader>("root");
  const farm = loaded?.farm;
  const reading = farm?.reading ?? {
    unitSystem: "us" as const,
    currency: "USD",
    timeZone: "UTC",
    locale: DEFAULT_LOCALE,
  };
  const show = showFor(reading);
  const own = useNonce();
  const nonce = own === undefined ? {} : { nonce: own };
  useEffect(keepNonce, []);
  return (
    <html lang={localeFormats(reading.locale, reading.timeZone).locale}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body className="md:flex">
        <a
          href="#main"
          className="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-leaf focus:p-3"
        >
          Skip to content
        </a>
        <RoleProvider value={loaded?.role}>
          {loaded?.role !== undefined && (
            <Spine
              farmName={farm?.name ?? "New farm"}
              deviceName={loaded.deviceName}
              words={
                farm?.words ?? { batches: "", season: "", days: "", freezers: "", orders: "", books: "" }
              }
              units={`${show.weightUnit} · ${show.temperatureUnit} · ${reading.currency}`}
            />
          )}
          <main id="main" className="min-w-0 grow pb-20 md:pb-0">
            <ShowProvider reading={reading}>
              <UndoRemoval />
              {children}
            </ShowProvider>
          </main>
        </RoleProvider>
        <ScrollRestoration {...nonce} />
        <Scripts {...nonce} />
      </body>
    </html>
  );
}

export default function App() {
  useHeadingFocus();
  return <Outlet />;
}

const ERROR_HEADINGS: Readonly<Record<number, string | undefined>> = {
  403: "No access",
  404: "Page not found",
  429: "Too many tries",
};

/** A plain page for what can't be shown: what happened, and where to go. Never a stack trace. */
export function ErrorBoundary() {
  return (
    // Where nobody knows who looks, the way home is shown all the same.
    <RoleProvider value="owner">
      <ErrorPage />
    </RoleProvider>
  );
}

function ErrorPage() {
  const error = useRouteError();
  if (isRouteErrorResponse(error) && error.status < 500) {
    const said =
      typeof error.data === "string"
        ? error.data
        : "The address may be mistyped, or the page no longer exists.";
    return (
      <div className="grid max-w-prose gap-4 p-6">
        <h1 className="text-3xl">{ERROR_HEADINGS[error.status] ?? "That could not be done"}</h1>
        <p>{said}</p>
        <div>
          <ButtonLink to="/">Go to the home page</ButtonLink>
        </div>
      </div>
    );
  }
  return <NoAnswer />;
}

/** The farm's machine is off, out of reach, or failed. What was typed waits in this window. */
function NoAnswer() {
  const [backTo, setBackTo] = useState<string>();
  useEffect(() => {
    if (markUnanswered()) setBackTo(unansweredPath());
  }, []);
  return (
    <div className="grid max-w-prose gap-4 p-6">
      <h1 className="text-3xl">No connection</h1>
      <p>
        The farm's computer did not answer, or something went wrong on it. Everything saved earlier is safe.
        {backTo && " What you entered last may not be saved yet; it is still in this window."}
      </p>
      <div className="flex flex-wrap gap-3">
        {backTo && (
          <ButtonLink to={backTo} reloadDocument>
            Back to what I entered
          </ButtonLink>
        )}
        <ButtonLink to="/" kind={backTo ? "plain" : "main"} reloadDocument>
          Go to the home page
        </ButtonLink>
      </div>
    </div>
  );
}
