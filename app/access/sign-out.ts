import { redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { cookieWith, visitorContext } from "#app/server/visitor/visitor.server.ts";
import type { Route } from "./+types/sign-out.ts";

export const loader = () => redirect("/");

/** Blocks the device that asks, and takes its secret from it. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { deviceId } = context.get(visitorContext);
  if (deviceId !== undefined) here.file.access.block(deviceId, here.now());
  return redirect("/sign-in", { status: 303, headers: { "Set-Cookie": await cookieWith(request, "") } });
}
