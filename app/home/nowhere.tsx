import { data } from "react-router";

/** Any address that is not one of ours. */
export function loader() {
  throw data("The address may be mistyped, or the page no longer exists.", { status: 404 });
}

export const action = loader;

export default function Nowhere() {
  return null;
}
