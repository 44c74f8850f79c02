/** The Chromium that journeys and screenshots drive; undefined where there is none. */
export function findChromium(): string | undefined;
