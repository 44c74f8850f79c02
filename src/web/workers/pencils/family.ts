import { type Lab, wheelById } from '../../../core/colour/index.ts';
import { type ExtraPencil, extrasFor, factsOfFamily, swapsFor } from '../../../core/palette/index.ts';
import { EXTRAS, type Extra, type Family } from '../../../core/recipe/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { laidOn } from './pencil-optics.ts';

export interface FamilyInput extends OnPaperInput {
  family: Family;
  /** Colours of what lies beside it. */
  neighbours: readonly Lab[];
  /** Id of the wheel. */
  wheel: string;
}

export interface AboutFamily {
  facts: ReturnType<typeof factsOfFamily>;
  /** What could take each of its places. */
  swaps: ReturnType<typeof swapsFor>[];
  extras: Record<Extra, ExtraPencil[]>;
}

/** How a family does, what could take each of its places, and what could stand beside it. */
export const familyJob: Job<FamilyInput, AboutFamily> = {
  run({ family, pencils, paper, neighbours, wheel }) {
    const tray = laidOn(paper, pencils);
    const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
    const beside = (extra: Extra) => extrasFor(extra, family, tray, wheelById(wheel));
    return {
      facts: factsOfFamily(family, byId, paper, neighbours),
      swaps: family.pencils.map((_, place) => swapsFor(family, place, byId, paper, neighbours)),
      extras: Object.fromEntries(EXTRAS.map((extra) => [extra, beside(extra)])) as AboutFamily['extras'],
    };
  },
};
