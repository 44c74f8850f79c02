import { Suspense, lazy } from 'react';
import { type OpenPrice, type Step, costsAt, openLimit } from '../../core/bench/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Notice, Progress } from '../parts/index.ts';
import { pencilJobs, useJob } from '../workers/index.ts';
import { OPEN } from './open-things.tsx';

const OpenPrices = lazy(() => import('./open-prices.tsx'));

/** Each number of open things is tried for so long. */
const EACH_MS = 600;
const LIMITS = OPEN.map((open) => openLimit(open)!);

/** Works out what each number of open things costs in pick-ups and minutes, and draws them as curves. */
export function CompareOpen({ steps, chosen }: { steps(): Step[]; chosen: number }) {
  const { now, start, cancel } = useJob<OpenPrice[]>('ordering steps');
  const { rates, sheet } = useDesk();
  const { hand } = sheet.plan.bench;
  const costs = costsAt(rates);
  const working = now.state === 'working';
  return (
    <div className="grid gap-2">
      {working && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
      {now.state === 'refused' && <Notice>{now.sentence}</Notice>}
      {now.state === 'done' && (
        <>
          <p className="text-[0.95rem] text-soft">What it costs, by things open:</p>
          <Suspense fallback={<p className="text-[0.95rem] text-soft">Drawing …</p>}>
            <OpenPrices prices={now.value} chosen={chosen} />
          </Suspense>
        </>
      )}
      {/* It stays where it is while orders are tried, so that the keys do not lose their place. */}
      <Button
        aria-disabled={working}
        look="bare"
        className="justify-self-start px-0!"
        onClick={() => {
          if (working) return;
          const input = { steps: steps(), limits: LIMITS, options: { costs, hand, deadlineMs: EACH_MS } };
          void start((report) => pencilJobs.start('priceOfOpen', input, { report }));
        }}
      >
        {now.state === 'done' ? 'Compare again' : 'Compare what each costs'}
      </Button>
    </div>
  );
}
