import { type Paper } from '../papers/index.ts';
import type { PencilFit, PaperFit } from '../schemas.ts';

/**
 * How a paper on which nothing was swatched takes pencil, from another on which much was: the hand is the same, and the
 * papers differ as their declared roughness, stray contact and tooth do. On pencils of makers that share nothing with the
 * model, overlays so foretold lie about 1.5 to 2 apart (CIEDE2000), as declared 9 to 15 (`npm run bench look`).
 * @param found what was found of `from`
 */
export function carriedFit(found: PaperFit, from: Paper, to: Paper): PaperFit {
  return {
    ...found,
    rough: (found.rough * to.rough) / from.rough,
    stray: (found.stray * (to.stray ?? 1)) / (from.stray ?? 1),
    tooth: (found.tooth * to.tooth) / from.tooth,
  };
}

/** What a pencil that was never swatched lays, scatters and fills, as those that were fitted say. */
export interface TypicalPencil {
  laydown: number;
  scatter: number;
  fills: number;
}

/**
 * The middle of what fitted pencils of a type lay, scatter and fill, or of all of them where none is of that type. A pencil
 * taken as declared on a fitted paper is worse than no fit at all, since hand and pencils are found together; taken as
 * typical, its overlays lie 2 to 5 apart where declared ones lie 7 to 16 (`npm run bench look`).
 * @returns null without any fitted pencil
 */
export function typicalPencil(
  fitted: readonly { type: string; fit: Pick<PencilFit, keyof TypicalPencil> }[],
  type: string,
): TypicalPencil | null {
  if (fitted.length === 0) return null;
  const alike = fitted.filter((pencil) => pencil.type === type);
  const some = (alike.length > 0 ? alike : fitted).map(({ fit }) => fit);
  return {
    laydown: middle(some.map(({ laydown }) => laydown)),
    scatter: middle(some.map(({ scatter }) => scatter)),
    fills: middle(some.map(({ fills }) => fills)),
  };
}

function middle(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[(values.length - 1) >> 1]!;
}
