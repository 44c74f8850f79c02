import { existsSync } from 'node:fs';

/** The Chromium that journeys and screenshots drive: CHROMIUM_PATH, or Debian's. Undefined where there is none. */
export function findChromium() {
  return [process.env.CHROMIUM_PATH, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find(
    (path) => path && existsSync(path),
  );
}
