import { data } from "react-router";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { authorityOf } from "#app/server/https/authority.server.ts";
import type { Route } from "./+types/certificate-file.ts";

/** The farm's authority as phones take it. It holds no secret. */
export function loader({ context }: Route.LoaderArgs) {
  const certificate = authorityOf(context.get(farmLifeContext).path);
  if (!certificate) throw data("This farm has no certificate yet.", { status: 404 });
  return new Response(new Uint8Array(certificate.raw), {
    headers: {
      "Content-Type": "application/x-x509-ca-cert",
      "Content-Disposition": 'attachment; filename="farm.crt"',
      "Cache-Control": "no-store",
    },
  });
}
