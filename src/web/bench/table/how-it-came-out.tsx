import { useState } from 'react';
import { CAME_OUT, type CameOut, type LogEntry } from '../../../contracts/index.ts';
import { Button } from '../../parts/index.ts';
import { FittedCard } from './fitted-card.tsx';

interface Props {
  /** What was done last, with the thing that it is asked of and how many of that thing's layers lie there. */
  last: { entries: readonly LogEntry[]; thingId: string; thing: string; code: string; laid: number };
  onSaid(cameOut: CameOut): void;
  /** What is left was changed: it is to be put in order again. */
  onChanged(): void;
}

/** Asks how a thing's first layer came out; where it is darker, paler or patchy, what is left of the thing is fitted to it. */
export function HowItCameOut({ last, onSaid, onChanged }: Props) {
  const [said, setSaid] = useState<CameOut | null>(null);
  return (
    <>
      {last.entries.at(-1)!.cameOut === null && (
        <div className="mb-3 border-b border-rule pb-3" role="group" aria-label="How it came out">
          <p>
            How did <strong>{last.thing}</strong> come out with{' '}
            <span className="font-figure font-bold">{last.code}</span>?
          </p>
          <div className="mt-1.5 grid grid-cols-4 gap-1.5">
            {CAME_OUT.map((each) => (
              <Button
                key={each}
                className="px-1!"
                onClick={() => {
                  onSaid(each);
                  setSaid(each);
                }}
              >
                {each}
              </Button>
            ))}
          </div>
        </div>
      )}
      {said && said !== 'as planned' && (
        <FittedCard of={last} look={said} teaches onChanged={onChanged} onClose={() => setSaid(null)} />
      )}
    </>
  );
}
