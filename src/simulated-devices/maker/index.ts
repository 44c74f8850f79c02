/** maker: who really made the demo's pencils and laid its swatches, apart from the product's own model. */
import { type NewSwatch } from '../../contracts/index.ts';
import { labOfHex, spectrumOfLab } from '../../core/colour/index.ts';
import { LADDER_PATCHES, SINGLE_PATCHES, paperById } from '../../core/laydown/index.ts';
import { seededRandom } from '../../core/random/index.ts';
import {
  type MadePaper,
  type MadePencil,
  hashOf,
  layOverlay,
  layPatch,
  makePencil,
  readPatch,
} from './hidden-maker.ts';

export {
  type MadeLayer,
  type MadePaper,
  type MadePencil,
  hashOf,
  layOverlay,
  layPatch,
  makePencil,
  normal,
  readPatch,
} from './hidden-maker.ts';

/** Papers that the demo's swatch cards were laid on. */
const SWATCH_PAPERS = ['white-book', 'cream-sheet'] as const;
/** Opacity where a pencil declares none: the maker's own idea of its types. */
const OPACITY: Readonly<Record<string, number>> = { wax: 0.62, oil: 0.22, pastel: 0.8, 'water-soluble': 0.35 };
const READING_NOISE = 0.22;
/** What a card has: every patch on the paper, and the firm one over the black bar. */
const CARD = [
  ...SINGLE_PATCHES.map((patch) => ({ patch, ground: 'paper' as const })),
  { patch: 'firm' as const, ground: 'bar' as const },
];

/** Every so manieth pencil is laid lightly over itself as well. */
const LADDER_EVERY = 45;
const LADDER_CARD = LADDER_PATCHES.map((patch) => ({ patch, ground: 'paper' as const }));

/** What a pencil declares of itself. */
export interface Labelled {
  id: string;
  colour: string;
  type: string;
  opacity: number | null;
}

/** A pencil as its maker knows it. */
export function made({ id, colour, type, opacity }: Labelled): MadePencil {
  return makePencil(id, labOfHex(colour), type, opacity ?? OPACITY[type] ?? 0.5);
}

/**
 * A paper as swatches are laid on it.
 * @throws RangeError for a paper that is not known
 */
export function madePaper(id: string): MadePaper {
  const { tint, rough } = paperById(id);
  return { tint: spectrumOfLab(labOfHex(tint)), rough };
}

/** Patches that were laid over each other: a medium one of each pencil with one of the next of its type over it. */
export function overlayPatches(pencils: readonly Labelled[]): (NewSwatch & { pencilId: string; over: string })[] {
  const makers = pencils.map(made);
  return SWATCH_PAPERS.flatMap((paper) =>
    pencils.slice(0, -1).flatMap((below, i) => {
      const above = pencils[i + 1]!;
      if (above.type !== below.type) return [];
      const id = `${below.id}-${paper}-overlay`.replaceAll('-book', '').replaceAll('-sheet', '');
      const layers = [i, i + 1].map((k) => ({ pencil: makers[k]!, patch: 'medium' as const }));
      const lab = readPatch(layOverlay(layers, madePaper(paper)), READING_NOISE, seededRandom(hashOf(id)));
      const patch = { paper, patch: 'medium' as const, ground: 'paper' as const };
      return [{ id, pencilId: below.id, over: above.id, ...patch, lab }];
    }),
  );
}

/** The swatch cards of some pencils on each of two papers, as they were read. */
export function swatchCards(pencils: readonly Labelled[]): (NewSwatch & { pencilId: string })[] {
  const papers = SWATCH_PAPERS.map((id) => [id, madePaper(id)] as const);
  return pencils.flatMap((pencil, i) => {
    const card = i % LADDER_EVERY === LADDER_EVERY >> 1 ? [...CARD, ...LADDER_CARD] : CARD;
    const whole = made(pencil);
    return papers.flatMap(([paper, madeOf]) =>
      card.map(({ patch, ground }) => {
        const id = `${pencil.id}-${paper}-${patch}-${ground}`.replaceAll('-book', '').replaceAll('-sheet', '');
        const lab = readPatch(layPatch(whole, madeOf, patch, ground), READING_NOISE, seededRandom(hashOf(id)));
        return { id, pencilId: pencil.id, paper, patch, ground, lab };
      }),
    );
  });
}
