import { useEffect } from "react";
import { POST_PATHS } from "#app/days/run/post/post-paths.ts";

/**
 * Lets a day's yard screens open without a signal once one of them was open. Only secure pages may (HTTPS, or this very
 * machine); elsewhere a page that is open goes on, but can't be loaded anew.
 */
export function useOpenOffline(dayId: number): void {
  useEffect(() => {
    if (!navigator.serviceWorker || !window.isSecureContext) return;
    void navigator.serviceWorker
      .register("/service-worker.js")
      .then(() => navigator.serviceWorker.ready)
      .then(({ active }) => {
        const screens = POST_PATHS.map((path) => `/days/${dayId}/run${path}`);
        // The router's list of routes is written after the service worker, so that it is not among what it keeps by itself.
        const routes = [...document.querySelectorAll<HTMLLinkElement>('link[href*="/assets/manifest-"]')].map(
          ({ href }) => href,
        );
        const urlsToCache = [...screens, ...routes];
        active?.postMessage({ type: "CACHE_URLS", payload: { urlsToCache } });
      })
      .catch(() => undefined);
  }, [dayId]);
}
