import { pencilFromTrial } from '../../../core/laydown/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { opticsById, passesOf } from './pencil-optics.ts';
import { type SeenTrial } from './teach-hand.ts';

export interface TeachPencilInput extends OnPaperInput {
  trial: SeenTrial;
  /** The pencil that is learnt of. */
  pencilId: string;
}

/** What a trial patch with what really came out says of one pencil in it. */
export const teachPencil: Job<TeachPencilInput, ReturnType<typeof pencilFromTrial>> = {
  run({ paper, pencils, trial: { steps, lab }, pencilId }) {
    const pencil = pencils.find(({ id }) => id === pencilId);
    if (!pencil) throw new RangeError('The pencil of this trial patch is not in the tray any more.');
    const others = opticsById(pencils);
    return pencilFromTrial(paper, pencil, (own) => passesOf(steps, new Map([...others, [pencilId, own]])), lab);
  },
};
