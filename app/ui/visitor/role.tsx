import { createContext, useContext } from "react";
import { mayOpen } from "#app/ui/visitor/route-roles.ts";
import type { Role } from "#core/access/role.ts";

const RoleContext = createContext<Role | undefined>("owner");

/** Tells every part below it what whoever looks may do. */
export const RoleProvider = RoleContext.Provider;

/** What whoever looks may do; undefined for a stranger. */
export const useRole = (): Role | undefined => useContext(RoleContext);

/** Whether whoever looks may open an address of ours. */
export function useMayOpen(): (address: string) => boolean {
  const role = useRole();
  return (address) => mayOpen(role, address);
}
