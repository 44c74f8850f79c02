import { type Lighting } from './lighting.ts';
import { type FormedThing, type PageGeometry } from './page.ts';
import { type PageFields, glowFields } from './page-fields.ts';

/** How a glow stands out from what surrounds it. Tones 0 (deepest shadow) to 100 (highlight). */
export interface GlowContrast {
  /** Mean tone in the first third of its reach and in the last, without its source. */
  near: number;
  far: number;
  /** The thing that keeps the far part palest, or null where nothing lies there. */
  palest: string | null;
}

/** Shares of the reach that are near and far. */
const NEAR = 1 / 3;
const FAR = 2 / 3;

/**
 * A figure of merit for each glow of a page: a glow is only as bright as its surroundings are dark.
 * @param fields what `pageFields` made of the same page, things and lights
 * @returns one for each glow, null where its source is not on the page
 */
export function glowContrasts(
  page: PageGeometry,
  things: readonly FormedThing[],
  lighting: Lighting,
  { tone }: Pick<PageFields, 'tone'>,
): (GlowContrast | null)[] {
  const thingOf = new Map(things.flatMap(({ id, regionIds }) => regionIds.map((region) => [region, id] as const)));
  return glowFields(page, things, lighting).map((field, k) => {
    if (!field) return null;
    const reach = lighting.glows[k]!.reachMm * page.pixelsPerMm;
    const [near, far] = [
      { sum: 0, n: 0 },
      { sum: 0, n: 0 },
    ];
    const byThing = new Map<string, number>();
    const { left, top, right, bottom } = field.box;
    for (let y = top, o = 0; y < bottom; y++) {
      for (let x = left, i = y * page.width + left; x < right; x++, i++, o++) {
        const out = field.distance[o]! / reach;
        const thing = thingOf.get(page.grown[i]!);
        if (out === 0 || out >= 1 || page.grown[i] === 0 || thing === lighting.glows[k]!.thingId) continue;
        if (out > NEAR && out < FAR) continue;
        const part = out <= NEAR ? near : far;
        part.sum += tone[i]!;
        part.n++;
        if (part === far && thing) byThing.set(thing, (byThing.get(thing) ?? 0) + tone[i]!);
      }
    }
    const palest = [...byThing].reduce<[string, number] | null>((a, b) => (a && a[1] >= b[1] ? a : b), null);
    const mean = ({ sum, n }: { sum: number; n: number }) => (n > 0 ? (100 * sum) / (255 * n) : 0);
    return { near: mean(near), far: mean(far), palest: palest?.[0] ?? null };
  });
}
