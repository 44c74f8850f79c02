/** mistakes: what can go wrong at the table; one file a kind, to add one write its file and list it here. */
import { draggedColour } from './dragged-colour.ts';
import { type MistakeKind } from './mistake-kind.ts';
import { overTheLine } from './over-the-line.ts';
import { patchy } from './patchy.ts';
import { tooDark } from './too-dark.ts';
import { wrongPencil } from './wrong-pencil.ts';

export { type MistakeKind } from './mistake-kind.ts';
/** Every kind of mistake, the most usual one first. */
export const MISTAKES: readonly MistakeKind[] = [overTheLine, wrongPencil, tooDark, draggedColour, patchy];

/**
 * The kind of mistake with this id.
 * @throws RangeError when there is none
 */
export function mistakeById(id: string): MistakeKind {
  const kind = MISTAKES.find((each) => each.id === id);
  if (!kind) throw new RangeError(`There is no mistake called "${id}".`);
  return kind;
}
