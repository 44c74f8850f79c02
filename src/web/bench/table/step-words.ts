import type { BenchPlan } from '../../../contracts/index.ts';
import { type Reminder, type Round, type Step, handWords } from '../../../core/bench/index.ts';
import { toolById } from '../../../core/laydown/index.ts';
import { about, namesOf, shapesInWords, timesInWords, toldAlike } from '../../../order/index.ts';

export const REMINDER_WORDS: Record<Reminder, string> = {
  sharpen: 'Sharpen it first: the point is worn too far for this.',
  turn: 'Turn the pencil every few strokes, so that the point wears evenly.',
  wipe: 'It goes over darker pencil: wipe the point on scrap now and then.',
  'clean tool': 'It comes from darker colour: wipe it clean first, or take a clean end.',
};

/** Which ninth of the page steps lie in, in words; "" where nobody knows. */
export function placeOnPage(steps: readonly Pick<Step, 'box'>[], page: { widthMm: number; heightMm: number }): string {
  const boxes = steps.flatMap(({ box }) => box ?? []);
  if (boxes.length === 0) return '';
  const box = {
    left: Math.min(...boxes.map(({ left }) => left)),
    top: Math.min(...boxes.map(({ top }) => top)),
    right: Math.max(...boxes.map(({ right }) => right)),
    bottom: Math.max(...boxes.map(({ bottom }) => bottom)),
  };
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
  round: Round,
  { code, name }: { code: string; name: string },
  things: BenchPlan['things'],
  reminders: readonly Reminder[],
): string {
  const [step] = round.steps;
  if (!step) return '';
  const held = step.tool ? `the ${toolById(step.tool).name}` : `pencil ${code}${name ? `, ${name}` : ''}`;
  const groups = toldAlike(round);
  return [
    `${namesOf(round.steps, things)}: ${held}.`,
    `${step.pressure} pressure, ${step.stroke}, ${step.point}${step.point === 'side of the lead' ? '' : ' point'}. ${handWords(step)}`.trim(),
    `${shapesInWords(round.steps)}, ${about(round.minutes)}.`,
    ...groups.map(({ where, passes, purpose, steps }) =>
      [
        groups.length > 1 ? `${namesOf(steps, things)}.` : '',
        `Where: ${where}. Go over it ${timesInWords(passes)}.`,
        purpose,
      ]
        .filter(Boolean)
        .join(' '),
    ),
    ...reminders.map((reminder) => REMINDER_WORDS[reminder]),
  ].join(' ');
}
