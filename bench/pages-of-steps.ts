import { type Step } from '../src/core/bench/index.ts';
import { seededRandom } from '../src/core/random/index.ts';

/** Pencils of one hue family, from dark to light. */
const FAMILY = 6;

/**
 * A page made up by a seed: every thing takes three to five pencils of a hue family, sometimes one of the next, and lays
 * them base coat first, dark first or light to dark.
 */
export function pageOfSteps(things: number, pencils: number, seed: number): Step[] {
  const random = seededRandom(1000 * seed + things);
  const pick = (n: number) => Math.floor(random() * n);
  return Array.from({ length: things }, (_, t) => {
    const hue = FAMILY * pick(Math.max(1, Math.floor(pencils / FAMILY)));
    const from = Array.from({ length: FAMILY }, (_each, k) => (hue + k) % pencils);
    if (random() < 0.3) from[pick(FAMILY)] = pick(pencils);
    const own = from.filter(() => random() < 0.7).slice(0, 5);
    const [dark, light] = [own[0] ?? hue, own.at(-1) ?? hue];
    const mids = own.slice(1, -1);
    const school = random();
    const order =
      school < 0.5
        ? [light, dark, ...mids, light]
        : school < 0.8
          ? [dark, ...mids, light]
          : [light, ...[...mids].reverse(), dark];
    return order.map((pencil, l): Step => {
      const id = `thing${t}/layer${l}`;
      return {
        id,
        thingId: `thing${t}`,
        layerId: `layer${l}`,
        pencil: `p${pencil}`,
        regionIds: [t + 1],
        pressure: 'light',
        passes: 1,
        stroke: 'small circles',
        point: 'normal',
        purpose: '',
        value: 50,
        zone: { field: 'tone', from: 0, to: 1, softnessMm: 0, overMm: 2 },
        minutes: 0.5 + 2 * random(),
        after: l > 0 ? [`thing${t}/layer${l - 1}`] : [],
      };
    });
  }).flat();
}
