import { type Ground, type Pass, type PencilOptics, type ToolPass, layPasses } from '../laydown/index.ts';
import { type Recipe, passesOf, shareInZone } from '../recipe/index.ts';
import { type Mistake, type MistakeKind } from './remedy.ts';

/** What happened where. */
export interface Happened {
  kind: MistakeKind;
  /** What is laid on the thing, and how many of its layers lie there. */
  recipe: Recipe;
  laid: number;
  /** The pencil that did it. */
  pencil: string;
}

/** The middle of a shape is taken for the place of a mistake. */
const MIDDLE = { tone: { value: 0.5, source: 0 } };
/** How much of a layer's pressure arrives where it is laid too hard, and where it is patchy. */
const TOO_MUCH = 1.5;
const PATCHY = 0.45;

/**
 * What lay where a mistake was made, what lies there now, and what should be seen: a stray or dragged pencil at a light
 * press, a wrong one as firmly as the right one, all that is laid too hard, the last layer with gaps.
 * @param ground where the recipe starts
 * @throws RangeError when a pencil has no optics
 */
export function mistakeAt(
  { kind, recipe, laid, pencil }: Happened,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): Pick<Mistake, 'before' | 'now' | 'wanted'> {
  const here = recipe.layers.slice(0, laid).filter(({ zone }) => shareInZone(zone, MIDDLE) > 0.3);
  const own = optics.get(pencil);
  if (!own) throw new RangeError(`Pencil ${pencil} is not in the tray.`);
  const lay = (from: Ground, passes: readonly (Pass | ToolPass)[]) => layPasses(from, passes);
  const whole = lay(
    ground,
    here.flatMap((layer) => passesOf(layer, optics)),
  );
  const last = here.at(-1);
  if (kind === 'over the line' || kind === 'dragged colour' || !last) {
    const now = lay(whole.ground, [{ pencil: own, pressure: kind === 'dragged colour' ? 'whisper' : 'light' }]);
    return { before: whole.ground, now: now.ground, wanted: whole.lab };
  }
  const before = lay(
    ground,
    here.slice(0, -1).flatMap((layer) => passesOf(layer, optics)),
  );
  if (kind === 'too dark') {
    const now = lay(
      ground,
      here.flatMap((layer) => passesOf(layer, optics, TOO_MUCH)),
    );
    return { before: ground, now: now.ground, wanted: whole.lab };
  }
  const passes =
    kind === 'wrong pencil'
      ? new Array<Pass>(last.passes).fill({ pencil: own, pressure: last.pressure })
      : passesOf(last, optics, PATCHY);
  return { before: before.ground, now: lay(before.ground, passes).ground, wanted: whole.lab };
}
