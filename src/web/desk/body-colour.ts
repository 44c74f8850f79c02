import { hexOfLab } from '../../core/colour/index.ts';
import { type Desk } from './desk-context.ts';

/** A pencil's colour as it comes out on the sheet's paper, layered: for marks too small for a laydown; as declared until it is known. */
export function bodyColour({ laid, pencilById }: Pick<Desk, 'laid' | 'pencilById'>, pencilId: string): string {
  const on = laid.get(pencilId);
  return on ? hexOfLab(on.body) : (pencilById.get(pencilId)?.colour ?? 'none');
}
