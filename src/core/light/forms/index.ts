/** forms: one file a form; to add one, write its file and list it here. */
import { ball } from './ball.ts';
import { fold } from './fold.ts';
import { cone } from './cone.ts';
import { dome } from './dome.ts';
import { faceted } from './faceted.ts';
import { fadesDown } from './fades-down.ts';
import { fadesUp } from './fades-up.ts';
import { flat } from './flat.ts';
import { type Form } from './form.ts';
import { hollow } from './hollow.ts';
import { leaf } from './leaf.ts';
import { plane } from './plane.ts';
import { raised } from './raised.ts';
import { ring } from './ring.ts';
import { tube } from './tube.ts';

export { type Form, type Place } from './form.ts';
/** Every form a thing can be given. */
export const FORMS: readonly Form[] = [
  raised,
  plane,
  flat,
  ball,
  tube,
  cone,
  leaf,
  ring,
  fold,
  hollow,
  faceted,
  dome,
  fadesDown,
  fadesUp,
];

/**
 * The form with this id.
 * @throws RangeError when there is none.
 */
export function formById(id: string): Form {
  const form = FORMS.find((f) => f.id === id);
  if (!form) throw new RangeError(`There is no form called "${id}".`);
  return form;
}
