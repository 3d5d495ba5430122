/** The yard screens of a day, after `/days/N/run`. The service worker (vite.config.ts) keeps these and no others. */
export const POST_PATHS = ["", "/cones", "/scald", "/table", "/look", "/chill", "/alone", "/board"] as const;
