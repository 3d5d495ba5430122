import { useEffect, useRef } from "react";
import { useLocation, useNavigation } from "react-router";

/**
 * After a link to another page, moves the focus to its heading, so that what is read aloud and where Tab goes on begin
 * there. A page that takes the focus itself, such as a field to be typed in at once, keeps it; a page opened by its address is
 * left to the browser.
 */
export function useHeadingFocus(): void {
  const { pathname, hash } = useLocation();
  const { state } = useNavigation();
  const seen = useRef(pathname);
  useEffect(() => {
    if (state !== "idle" || seen.current === pathname) return;
    seen.current = pathname;
    const main = document.querySelector("main");
    const heading = main?.querySelector<HTMLElement>("h1");
    if (!heading || hash !== "" || main?.contains(document.activeElement)) return;
    heading.tabIndex = -1;
    heading.focus({ preventScroll: true });
  }, [pathname, hash, state]);
}
