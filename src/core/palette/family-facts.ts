import { type Lab, deltaE2000 } from '../colour/index.ts';
import { type Paper, bareGround } from '../laydown/index.ts';
import { type Family, bodyOf } from '../recipe/index.ts';
import { type PencilOnPaper, overlapOf } from '../tray/index.ts';
import { blenderReason } from './blender.ts';

/** How a family does by itself and beside its neighbours. */
export interface FamilyFacts {
  /** From each pencil to the next lighter: CIEDE2000, L*, and Lab chroma lost where they share paper. */
  steps: { apart: number; value: number; mud: number }[];
  largestStep: number;
  /** CIEDE2000 from its body to the nearest neighbour; null where it has none. */
  leastApart: number | null;
  /** Which pencil blends it, and why. */
  blending: string;
}

/** A pencil that could take a place in a family, and what the family would be with it. */
export interface Swap {
  pencil: string;
  /** CIEDE2000 from the pencil that has the place now. */
  away: number;
  largestStep: number;
  mud: number;
  leastApart: number | null;
  /** Whether the family still runs from dark to light. */
  ordered: boolean;
}

/**
 * The facts of a family.
 * @param byId pencils on the paper, those of the family among them
 * @param neighbours colours of what it borders on
 * @throws RangeError when a pencil of the family is not there
 */
export function factsOfFamily(
  family: Family,
  byId: ReadonlyMap<string, PencilOnPaper>,
  paper: Paper,
  neighbours: readonly Lab[],
): FamilyFacts {
  const own = family.pencils.map((id) => known(byId, id));
  const steps = own.slice(1).map((lighter, i) => stepBetween(own[i]!, lighter, paper));
  return {
    steps,
    largestStep: Math.max(0, ...steps.map(({ apart }) => apart)),
    leastApart: nearest(known(byId, bodyOf(family)).body, neighbours),
    blending: blenderReason(own, family.blender ? known(byId, family.blender) : null),
  };
}

/**
 * Every pencil that could take one place of a family, the best first: near the one that is there, with easy steps, and
 * apart from the neighbours.
 * @param place 0 is the darkest
 */
export function swapsFor(
  family: Family,
  place: number,
  byId: ReadonlyMap<string, PencilOnPaper>,
  paper: Paper,
  neighbours: readonly Lab[],
): Swap[] {
  const now = known(byId, family.pencils[place]!);
  const [darker, lighter] = [family.pencils[place - 1], family.pencils[place + 1]].map((id) => id && known(byId, id));
  const isBody = bodyOf(family) === now.id;
  const fixed = isBody ? null : nearest(known(byId, bodyOf(family)).body, neighbours);
  return [...byId.values()]
    .filter(({ id }) => id === now.id || !family.pencils.includes(id))
    .map((pencil) => {
      const steps = [
        ...(darker ? [stepBetween(darker, pencil, paper)] : []),
        ...(lighter ? [stepBetween(pencil, lighter, paper)] : []),
      ];
      const swap: Swap = {
        pencil: pencil.id,
        away: deltaE2000(now.body, pencil.body),
        largestStep: Math.max(0, ...steps.map(({ apart }) => apart)),
        mud: Math.max(0, ...steps.map(({ mud }) => mud)),
        leastApart: isBody ? nearest(pencil.body, neighbours) : fixed,
        ordered: steps.every(({ value }) => value > 0),
      };
      const lack = Math.max(0, 16 - (swap.leastApart ?? 16));
      return {
        swap,
        cost: swap.away + 0.5 * Math.max(0, swap.largestStep - 20) + 0.5 * swap.mud + lack + (swap.ordered ? 0 : 25),
      };
    })
    .sort((p, q) => p.cost - q.cost)
    .map(({ swap }) => swap);
}

function stepBetween(dark: PencilOnPaper, light: PencilOnPaper, paper: Paper) {
  const band = ({ optics }: PencilOnPaper) => ({ optics, pressure: 'medium' as const });
  const { step, dip } = overlapOf(bareGround(paper), band(dark), band(light), [dark.body, light.body]);
  return { apart: step, value: light.body[0] - dark.body[0], mud: dip };
}

function nearest(body: Lab, neighbours: readonly Lab[]): number | null {
  return neighbours.length > 0 ? Math.min(...neighbours.map((lab) => deltaE2000(body, lab))) : null;
}

function known(byId: ReadonlyMap<string, PencilOnPaper>, id: string): PencilOnPaper {
  const pencil = byId.get(id);
  if (!pencil) throw new RangeError('A pencil of this family is not in the tray.');
  return pencil;
}
