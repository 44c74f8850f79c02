/** schools: one file a school; to add one, write its file and list it here. */
import { baseCoatFirst } from './base-coat-first.ts';
import { darkFirst } from './dark-first.ts';
import { darkFoundation } from './dark-foundation.ts';
import { lightToDark } from './light-to-dark.ts';
import { type School } from './school.ts';

export { type School, type Sketch } from './school.ts';
/** Every school, the default first. */
export const SCHOOLS: readonly School[] = [baseCoatFirst, darkFirst, lightToDark, darkFoundation];

/**
 * The school with this id.
 * @throws RangeError when there is none.
 */
export function schoolById(id: string): School {
  const school = SCHOOLS.find((s) => s.id === id);
  if (!school) throw new RangeError(`There is no school called "${id}".`);
  return school;
}
