/** pencil-types: one file a type; to add one, write its file and list it here. */
import { oil } from './oil.ts';
import { pastel } from './pastel.ts';
import { type PencilType } from './pencil-type.ts';
import { water } from './water-soluble.ts';
import { wax } from './wax.ts';

export { type PencilType } from './pencil-type.ts';
/** Every pencil type the model knows. */
export const PENCIL_TYPES: readonly PencilType[] = [wax, oil, pastel, water];

/**
 * The pencil type with this id.
 * @throws RangeError when there is none.
 */
export function pencilTypeById(id: string): PencilType {
  const type = PENCIL_TYPES.find((t) => t.id === id);
  if (!type) throw new RangeError(`There is no pencil type called "${id}".`);
  return type;
}

/** What is this soluble leaves a wash under a wet brush. An assumption. */
const SOLUBLE = 0.5;

/** What is this loose comes off under a hand, and a soft tip blends it. An assumption. */
const LOOSE = 0.5;

/** Whether what a type of pencil lays stays loose on the paper. @throws RangeError when there is no such type */
export function isLoose(id: string): boolean {
  return pencilTypeById(id).loose >= LOOSE;
}

/** Whether water dissolves what a type of pencil lays. @throws RangeError when there is no such type */
export function isSoluble(id: string): boolean {
  return pencilTypeById(id).soluble >= SOLUBLE;
}
