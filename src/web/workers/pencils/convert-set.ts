import { type Paper, type Pressure } from '../../../core/laydown/index.ts';
import { checkpoints } from '../../../core/run/index.ts';
import { type TrayPencil, convertSet, layTray } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { opticsById } from './pencil-optics.ts';

export interface ConvertSetInput {
  from: readonly TrayPencil[];
  to: readonly TrayPencil[];
  paper: Paper;
  pressure: Pressure;
}

type Conversion = ReturnType<typeof convertSet> extends Iterable<infer C> ? C : never;

/** What stands in for one pencil, by ids. */
export interface StandIn extends Pick<Conversion, 'closeness' | 'differs'> {
  id: string;
  near: { id: string; deltaE: number } | null;
  layering: { deltaE: number; layers: { id: string; pressure: Pressure }[] } | null;
}

/** What stands in for each pencil of one set in another. */
export const convertSetJob: Job<ConvertSetInput, StandIn[]> = {
  async run({ from, to, paper, pressure }, run) {
    const checkpoint = checkpoints(run);
    const lay = (pencils: readonly TrayPencil[]) => layTray(pencils, paper, opticsById(pencils));
    const [own, other] = [lay(from), lay(to)];
    const found: StandIn[] = [];
    for (const { from: index, near, layering, closeness, differs } of convertSet(own, other, pressure)) {
      found.push({
        id: from[index]!.id,
        near: near && { id: to[near.index]!.id, deltaE: near.deltaE },
        closeness,
        differs,
        layering: layering && {
          deltaE: layering.deltaE,
          layers: layering.layers.map((layer) => ({ id: to[layer.index]!.id, pressure: layer.pressure })),
        },
      });
      await checkpoint(found.length / from.length, 'looking for what comes nearest');
    }
    return found;
  },
};
