import type { BenchPlan } from '../../../contracts/index.ts';
import { type Reminder, type Step, handWords, whereOf } from '../../../core/bench/index.ts';
import { toolById } from '../../../core/laydown/index.ts';
import { about } from '../../../order/index.ts';

type PlanStep = BenchPlan['steps'][number];

export const REMINDER_WORDS: Record<Reminder, string> = {
  sharpen: 'Sharpen it first: the point is worn too far for this.',
  turn: 'Turn the pencil every few strokes, so that the point wears evenly.',
  wipe: 'It goes over darker pencil: wipe the point on scrap now and then.',
  'clean tool': 'It comes from darker colour: wipe it clean first, or take a clean end.',
};

/** Which ninth of the page a step lies in, in words; "" where it is all over. */
export function placeOnPage({ box }: Pick<Step, 'box'>, page: { widthMm: number; heightMm: number }): string {
  if (!box) return '';
  const wide = (box.right - box.left) / page.widthMm;
  const high = (box.bottom - box.top) / page.heightMm;
  if (wide > 0.6 && high > 0.6) return 'all over the page';
  const third = (at: number, most: number) => Math.min(2, Math.max(0, Math.floor((3 * at) / most)));
  const across = wide > 0.6 ? '' : ['left', 'middle', 'right'][third((box.left + box.right) / 2, page.widthMm)];
  const down = high > 0.6 ? '' : ['top', 'middle', 'bottom'][third((box.top + box.bottom) / 2, page.heightMm)];
  if (down === 'middle' && across === 'middle') return 'in the middle';
  const words = [down === 'middle' ? '' : down, across === 'middle' ? '' : across].filter(Boolean);
  return words.length > 0 ? `${words.join(' ')} of the page` : 'across the middle';
}

/** A step as it is read aloud. */
export function stepAloud(
  step: PlanStep,
  { code, name }: { code: string; name: string },
  thing: string,
  reminders: readonly Reminder[],
): string {
  const held = step.tool ? `the ${toolById(step.tool).name}` : `pencil ${code}${name ? `, ${name}` : ''}`;
  const times = step.passes === 1 ? 'once' : `${step.passes} times`;
  return [
    `${thing}: ${held}.`,
    `${step.pressure} pressure, ${step.stroke}, ${step.point}${step.point === 'side of the lead' ? '' : ' point'}. ${handWords(step)}`.trim(),
    `Where: ${whereOf(step)}. Go over it ${times}, ${about(step.minutes)}.`,
    step.purpose,
    ...reminders.map((reminder) => REMINDER_WORDS[reminder]),
  ].join(' ');
}
