import { createContext, useContext } from "react";

/** By which a page's own scripts are told from anyone else's; known on the server only, where the page is written. */
const NonceContext = createContext<string | undefined>(undefined);

export const NonceProvider = NonceContext.Provider;
export const useNonce = (): string | undefined => useContext(NonceContext);

/** Style sheets that a part makes while a page is shown carry its nonce too: the browser keeps it with the page's scripts. */
export function keepNonce(): void {
  const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
  if (nonce) Object.assign(globalThis, { __webpack_nonce__: nonce });
}
