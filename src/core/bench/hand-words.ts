import { type Pressure, toolById } from '../laydown/index.ts';
import type { Step } from './schemas.ts';

/** How a pencil is held for a press: far back it presses lightly of itself. */
const GRIPS: Readonly<Record<Pressure, string>> = {
  whisper: 'Hold it at its very end, nearly flat.',
  light: 'Hold it far back.',
  medium: 'Hold it as for writing.',
  firm: 'Hold it near the point, in short strokes.',
  burnish: 'Hold it near the point and lean on it, with a loose wrist.',
};

/** How the hand goes about a step: the grip, and which way colour is pulled; "" for a tool that says so itself. */
export function handWords({ pressure, point, pull, tool }: Pick<Step, 'pressure' | 'point' | 'pull' | 'tool'>): string {
  if (tool !== undefined) return toolById(tool).draws ? 'Hold it upright.' : '';
  const flat = point === 'side of the lead' && pressure !== 'whisper' ? 'Hold it flat, on the side of the lead.' : '';
  return [flat || GRIPS[pressure], pull ? `Pull from ${pull}.` : ''].filter(Boolean).join(' ');
}
