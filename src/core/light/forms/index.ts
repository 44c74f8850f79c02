/** forms: one file a form; to add one, write its file and list it here. */
import { fadesDown } from './fades-down.ts';
import { fadesUp } from './fades-up.ts';
import { flat } from './flat.ts';
import { type Form } from './form.ts';
import { raised } from './raised.ts';

export { type Form } from './form.ts';
/** Every form a thing can be given. */
export const FORMS: readonly Form[] = [raised, flat, fadesDown, fadesUp];

/**
 * The form with this id.
 * @throws RangeError when there is none.
 */
export function formById(id: string): Form {
  const form = FORMS.find((f) => f.id === id);
  if (!form) throw new RangeError(`There is no form called "${id}".`);
  return form;
}
