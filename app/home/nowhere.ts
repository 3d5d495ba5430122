import { data } from "react-router";

export function loader() {
  throw data("The address may be mistyped, or what it showed is gone.", { status: 404 });
}

export const action = loader;
