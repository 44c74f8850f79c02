import { type Finish, finishById } from './finishes/index.ts';
import { materialById } from './materials.ts';
import { type FormedThing } from './page.ts';

/**
 * How a thing shines: as was chosen for it, or as what it is made of does; null where it is no metal.
 * @throws RangeError for a finish or a material that is not known
 */
export function finishOf({ finish, material }: Pick<FormedThing, 'finish' | 'material'>): Finish | null {
  const id = finish === undefined && material !== null ? materialById(material).finish : finish;
  return id ? finishById(id) : null;
}
