import { type Happened, type Mistake, mistakeAt, mistakeById, remediesFor } from '../../../core/remedies/index.ts';
import { type Job } from '../job.ts';
import { type PencilsOnGround } from './check-recipe.ts';
import { groundOf, opticsById } from './pencil-optics.ts';

export interface RemediesInput extends PencilsOnGround {
  happened: Happened;
  pens: Mistake['pens'];
  elsewhere: Mistake['elsewhere'];
}

/** What can be done about a mistake on a thing. */
export const remedies: Job<RemediesInput, ReturnType<typeof remediesFor>> = {
  run({ happened, pencils, paper, onGround, pens, elsewhere }) {
    const byId = opticsById(pencils);
    return remediesFor({
      ...mistakeAt(happened, byId, groundOf(paper, onGround)),
      kind: mistakeById(happened.kind),
      pencil: happened.pencil,
      pencils: pencils.map(({ id, code }) => ({ id, code, optics: byId.get(id)! })),
      pens,
      elsewhere,
    });
  },
};
