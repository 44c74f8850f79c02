import { type TrayPencil, labAt, layTray, mostHelpful, whatIsMissing } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { opticsById } from './pencil-optics.ts';

export interface MissingInput extends OnPaperInput {
  /** Pencils that are not here. */
  others: readonly TrayPencil[];
  /** How much lead of each of those is planned, by id. */
  planned: ReadonlyMap<string, number>;
}

export interface Missing extends Pick<ReturnType<typeof whatIsMissing>, 'hues' | 'values'> {
  twice: { a: string; b: string; deltaE: number }[];
  helpful: { id: string; gain: number }[];
}

/**
 * Holes and twins of a tray, and which pencil of others would help most: with what is planned in pencils that are not
 * here, by how much lead of each that takes, or with anything that others have.
 */
export const missing: Job<MissingInput, Missing> = {
  run({ pencils, others, planned, paper }) {
    const lay = (some: readonly TrayPencil[]) => layTray(some, paper, opticsById(some));
    const [own, other] = [lay(pencils), lay(others)];
    const { hues, values, twice } = whatIsMissing(own);
    const wanted = others.map(({ id }, index) => ({
      lab: labAt(other.labs.firm, index),
      weight: planned.size > 0 ? (planned.get(id) ?? 0) : 1,
    }));
    return {
      hues,
      values,
      twice: twice.map(({ a, b, deltaE }) => ({ a: pencils[a]!.id, b: pencils[b]!.id, deltaE })),
      helpful: mostHelpful(own, other, wanted, 3).map(({ index, gain }) => ({ id: others[index]!.id, gain })),
    };
  },
};
