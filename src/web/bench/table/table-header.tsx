import { ArrowLeft } from 'lucide-react';
import { about } from '../../../order/index.ts';
import { type Clock, workedAtSitting, workedAtStep } from './clock.ts';

interface Props {
  number: number;
  of: number;
  clock: Clock;
  now: number;
  stepMinutes: number;
  sittingMinutes: number;
  /** The server is away, and so many entries wait for it. */
  away: boolean;
  waits: number;
  /** Whether those outlive this tab. */
  isKept: boolean;
  onLeave(): void;
}

/** Where one is in the order and in the sitting, and whether what is done is kept. */
export function TableHeader({
  number,
  of,
  clock,
  now,
  stepMinutes,
  sittingMinutes,
  away,
  waits,
  isKept,
  onLeave,
}: Props) {
  const minutes = (ms: number) => Math.floor(ms / 60_000);
  return (
    <header className="flex h-13 shrink-0 items-center gap-4 px-4 max-md:gap-2 max-md:px-2">
      <button type="button" onClick={onLeave} className="flex h-10 items-center gap-2 pr-3 hover:bg-card">
        <ArrowLeft size={20} /> <span className="max-md:sr-only">Leave the table</span>
      </button>
      <span className="text-sm text-soft max-md:hidden">
        step <Time>{minutes(workedAtStep(clock, now))}</Time> of {about(stepMinutes)}
      </span>
      <span className="text-sm text-soft">
        sitting <Time>{minutes(workedAtSitting(clock, now))}</Time>
        <span className="max-md:hidden"> of about {sittingMinutes} min</span>
      </span>
      <span className="text-sm" role="status" data-testid="kept">
        {away
          ? `Harmonie does not answer; ${waits} kept ${isKept ? 'here' : 'only while this tab is open'}`
          : waits > 0
            ? 'Saving'
            : 'Saved'}
      </span>
      <span className="ml-auto font-figure whitespace-nowrap">
        step {number} of {of}
      </span>
      <div className="h-2.5 w-32 border border-ink bg-leaf max-md:w-12" aria-hidden>
        <div className="hatch-fill h-full" style={{ width: `${(100 * (number - 1)) / of}%` }} />
      </div>
    </header>
  );
}

function Time({ children }: { children: number }) {
  return (
    <span className="font-figure text-ink" data-testid="worked">
      {children} min
    </span>
  );
}
