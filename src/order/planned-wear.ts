import type { Pencil, Plan } from '../contracts/index.ts';
import { type Rates } from '../core/bench/index.ts';
import { type PencilOptics, pencilOptics } from '../core/laydown/index.ts';
import { type Layer } from '../core/recipe/index.ts';
import { type Wear } from '../core/tray/index.ts';
import { paperModelOf } from '../pencils/index.ts';
import { costOfLayer } from './layer-cost.ts';
import { type LaidOn, deriveRecipes, type PlannedPage, regionsOfThings } from '../plan/derive/index.ts';

type WornPencil = Pick<Pencil, 'id' | 'code' | 'colour' | 'type' | 'opacity' | 'hardness'>;

/**
 * What the layers of a sheet that are still to be laid will use up of each pencil, by pencil id.
 * @param laid how many layers of a thing are laid already
 * @param rates how fast this person works, where hours are few; default as assumed
 * @param on the sheet's paper and the pencils on it, as swatches say; default as they are declared
 */
export function plannedWear(
  plan: Plan,
  page: PlannedPage,
  pencils: readonly WornPencil[],
  laid: (thingId: string, layers: readonly Layer[]) => number,
  rates?: Rates,
  on: LaidOn = paperModelOf(plan.page.paper),
): Map<string, Wear> {
  const byId = new Map(pencils.map((pencil) => [pencil.id, pencil]));
  const optics = new Map<string, PencilOptics>();
  const own = regionsOfThings(plan, page.regions);
  const worn = new Map<string, Wear>();
  for (const [thingId, { layers }] of deriveRecipes(plan, page, byId, rates, on)) {
    for (const layer of layers.slice(laid(thingId, layers))) {
      const pencil = byId.get(layer.pencil)!;
      const known = optics.get(pencil.id) ?? pencilOptics(on.trayPencil(pencil));
      optics.set(pencil.id, known);
      const { wear } = costOfLayer(layer, own.get(thingId)!, known, on.paper, pencil.hardness ?? undefined);
      if (wear.lengthMm > 0) worn.set(pencil.id, together(worn.get(pencil.id), wear));
    }
  }
  return worn;
}

function together(a: Wear | undefined, b: Wear): Wear {
  if (!a) return b;
  return { laidMm: a.laidMm + b.laidMm, points: a.points + b.points, lengthMm: a.lengthMm + b.lengthMm };
}
