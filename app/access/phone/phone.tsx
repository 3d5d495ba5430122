import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { authorityOf, fingerprintOf } from "#app/server/https/authority.server.ts";
import { httpsPort } from "#app/server/https/https-folder.server.ts";
import { ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Route } from "./+types/phone.ts";

export const meta = () => [{ title: "Trust this farm · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const certificate = authorityOf(context.get(farmLifeContext).path);
  const { hostname, protocol } = new URL(request.url);
  return {
    isSecure: protocol === "https:",
    secureAddress: `https://${hostname}:${httpsPort()}/`,
    certificate: certificate && {
      fingerprint: fingerprintOf(certificate),
      endsOn: new Date(certificate.validTo).toISOString().slice(0, 10),
    },
  };
}

/** How a phone comes to trust the farm's own certificate, so that what it sends can't be read on the way. */
export default function Phone({ loaderData }: Route.ComponentProps) {
  const { certificate, isSecure, secureAddress } = loaderData;
  return (
    <Page>
      <PageHead
        title="Trust this farm"
        line="so that nobody else on the Wi-Fi can read what this phone sends"
      />
      {isSecure && (
        <Notice tone="plain">This phone is connected securely. There is nothing more to do.</Notice>
      )}
      {certificate ? (
        <Steps {...certificate} secureAddress={secureAddress} />
      ) : (
        <Sheet heading="Not set up yet">
          <p className="py-1">
            This farm has no certificate. On the farm's computer, run <code>npm run certificate</code>, then
            start Pale Morning again. Until then phones can be used all the same, but anyone on the same Wi-Fi
            could read and change what they send: use a Wi-Fi password that guests don't have.
          </p>
        </Sheet>
      )}
    </Page>
  );
}

function Steps({
  secureAddress,
  fingerprint,
  endsOn,
}: {
  secureAddress: string;
  fingerprint: string;
  endsOn: string;
}) {
  const show = useShow();
  return (
    <Sheet heading="Three steps on this phone">
      <ol className="grid gap-5 py-2">
        <Step number={1} heading="Get the certificate" picture={<Download />}>
          <p className="pb-3">
            It is a small file that says which computer is the farm's. It is good for this farm's computer
            only, and for no other website.
          </p>
          <ButtonLink to="/phone/farm.crt" reloadDocument>
            Download the certificate
          </ButtonLink>
        </Step>
        <Step number={2} heading="Install it" picture={<Gear />}>
          <p>Open the phone's settings.</p>
          <ul className="list-disc py-1 pl-5">
            <li>
              If they say "Profile downloaded", tap it and install it. Then go to General, About, Certificate
              trust settings, and switch it on.
            </li>
            <li>Otherwise search the settings for "CA certificate" and choose the file you downloaded.</li>
          </ul>
          <p>The phone warns that a certificate can be misused. Compare this fingerprint before you agree:</p>
          <p className="py-2 font-mono text-sm break-words">{fingerprint}</p>
        </Step>
        <Step number={3} heading="Open the farm by its secure address" picture={<Lock />}>
          <p className="pb-3">
            If the phone shows no warning, it worked. Join again there, and use that address from now on.
          </p>
          <ButtonLink to={secureAddress} reloadDocument>
            {secureAddress}
          </ButtonLink>
        </Step>
      </ol>
      <p className="py-2 text-sm text-soft">
        Good until {show.dayWithYear(endsOn)}. To stop trusting it, remove it in the same place in the phone's
        settings.
      </p>
    </Sheet>
  );
}

function Step({
  number,
  heading,
  picture,
  children,
}: {
  number: number;
  heading: string;
  picture: React.ReactNode;
  children: React.ReactNode;
}) {
  return (
    <li className="grid grid-cols-[4.5rem_1fr] gap-4">
      <svg viewBox="0 0 48 80" aria-hidden="true" className="w-16 text-pine">
        <rect x="2" y="2" width="44" height="76" rx="6" fill="none" stroke="currentColor" strokeWidth="2.5" />
        {picture}
      </svg>
      <div>
        <h3 className="pb-1 font-semibold">
          {number}. {heading}
        </h3>
        {children}
      </div>
    </li>
  );
}

const LINE = { fill: "none", stroke: "currentColor", strokeWidth: 3 } as const;

const Download = () => <path d="M24 22v26m-10-10 10 10 10-10M12 58h24" {...LINE} />;

const Gear = () => (
  <>
    <circle cx="24" cy="40" r="7" {...LINE} />
    <circle cx="24" cy="40" r="13" {...LINE} strokeDasharray="5 5.2" />
  </>
);

const Lock = () => (
  <>
    <rect x="13" y="38" width="22" height="17" rx="2" fill="currentColor" />
    <path d="M17 38v-6a7 7 0 0 1 14 0v6" {...LINE} />
  </>
);
