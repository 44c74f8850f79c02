import { deltaE2000, labOfSpectrum } from '../colour/index.ts';
import { type Ground, reflectanceOf } from './ground.ts';
import { type Pass, type ToolPass, layPasses } from './lay-passes.ts';
import { toothMarks } from './filling.ts';
import { pressOf } from './pressure.ts';
import { toolById } from './tools/index.ts';

/** A pass that changes less than this, CIEDE2000, is not seen. */
const UNSEEN = 0.7;
/** Presses that are meant to be as hard as this, as a share of the hardest, are hard. */
const HARD = 0.75;

/**
 * What is worth saying of each pass laid on a ground: that it made no difference, uses up the paper, comes too early or
 * wants care. Several sentences a pass, or none.
 * @throws RangeError as layPasses does
 */
export function remarksOn(ground: Ground, passes: readonly (Pass | ToolPass)[]): string[][] {
  const marks = toothMarks(ground);
  let before = ground;
  return passes.map((pass, i) => {
    const after = layPasses(before, [pass]).ground;
    const remarks = [...ofPass(pass, before, after), ...ofTooth(before, after, marks)];
    const pencilLater = passes.slice(i + 1).some((later) => 'pencil' in later);
    if ('pencil' in pass && pencilLater && pressOf(pass.pressure) > HARD) {
      remarks.push('Pressing hard this early leaves little for the passes after it.');
    }
    before = after;
    return remarks;
  });
}

function ofPass(pass: Pass | ToolPass, before: Ground, after: Ground): string[] {
  const remarks: string[] = [];
  const apart = deltaE2000(labOfSpectrum(reflectanceOf(before)), labOfSpectrum(reflectanceOf(after)));
  if ('tool' in pass) {
    const { caution, waits = false, unseen = false } = toolById(pass.tool);
    if (caution) remarks.push(caution);
    if (waits && !before.wet) remarks.push('It was dry already.');
    if (!unseen && apart < UNSEEN) remarks.push('It made no difference to be seen.');
  } else if (apart < UNSEEN) {
    remarks.push('It made no difference to be seen.');
  }
  return remarks;
}

function ofTooth(before: Ground, after: Ground, { full, filling }: ReturnType<typeof toothMarks>): string[] {
  const [was, left] = [1 - before.filled, 1 - after.filled];
  if (left <= full && was > full) return ['The tooth is full: this place hardly takes any more pencil.'];
  if (left <= filling && was > filling) return ['The tooth is filling up: two or three more passes at most.'];
  return [];
}
