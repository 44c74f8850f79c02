const GREYS = [236, 216, 196, 176, 156];

/**
 * A grey for each of some parts of a page, 1..count, that as few of its neighbours as possible have too.
 * @returns 0 black to 255 white, by part; index 0 is not used
 */
export function greysApart(count: number, neighbours: readonly { a: number; b: number }[]): Uint8Array {
  const beside: number[][] = Array.from({ length: count + 1 }, () => []);
  for (const { a, b } of neighbours) {
    beside[Math.max(a, b)]!.push(Math.min(a, b));
  }
  const shade = new Uint8Array(count + 1);
  for (let part = 1; part <= count; part++) {
    const taken = GREYS.map((_, k) => beside[part]!.filter((other) => shade[other] === k).length);
    const start = part % GREYS.length;
    let best = start;
    for (let k = 0; k < GREYS.length; k++) {
      const next = (start + k) % GREYS.length;
      if (taken[next]! < taken[best]!) best = next;
    }
    shade[part] = best;
  }
  return shade.map((k) => GREYS[k]!);
}
