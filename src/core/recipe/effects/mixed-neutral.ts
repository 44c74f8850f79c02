import { pencilsOf } from '../family.ts';
import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** So many hues make a neutral at most: more go to mud. */
const MOST_HUES = 3;
/** So many rounds of thin layers mix before anything is pressed. */
const ROUNDS = 2;

/** A neutral that is mixed on the paper, from two opposites or three primaries in thin layers, with no grey in it. */
export const mixedNeutral: Effect = {
  id: 'mixed-neutral',
  name: 'neutral from opposites',
  says: 'Two opposites or three primaries in thin turns, each over all of it: a grey that is livelier than a grey pencil.',
  choice: { of: 'neutral', called: 'mixed from opposites' },
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  goesNeutral: true,
  lay(_school, family, context) {
    const hues = pencilsOf(family).slice(0, MOST_HUES);
    if (hues.length < 2) {
      const says = 'One pencil is no neutral: give the family an accent, the opposite of its colour.';
      return { layers: fitted([turn(hues[0]!, 0, 0)], context), notes: [says] };
    }
    const dark = family.depth ?? family.pencils[0]!;
    const plain: LayerDraft[] = [
      ...Array.from({ length: ROUNDS }, (_, round) => hues.map((pencil, k) => turn(pencil, round, k))).flat(),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 2,
        from: 0,
        to: 0.4,
        bands: 2,
        purpose: 'The shadow leans to the darkest of them.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: family.pencils.at(-1)!,
        pressure: 'whisper',
        passes: 1,
        from: 0.3,
        to: 0.94,
        bands: 1,
        purpose: 'The palest over the light: it decides whether the neutral is warm or cool.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};

function turn(pencil: string, round: number, k: number): LayerDraft {
  return {
    id: `turn-${round + 1}-${k + 1}`,
    role: k === 0 ? 'light' : 'mid',
    pencil,
    pressure: round === 0 ? 'whisper' : 'light',
    passes: 1,
    from: 0,
    to: round === 0 ? 0.94 : 0.8,
    bands: 1,
    stroke: k % 2 === 0 ? 'small circles' : 'cross-hatching',
    purpose:
      round === 0 ? 'Thinly, in its turn: none of them is to show alone.' : 'Once more in turn, where it is deeper.',
  };
}
