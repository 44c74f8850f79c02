import clsx from 'clsx';
import type { BenchPlan } from '../../../contracts/index.ts';
import { type Round } from '../../../core/bench/index.ts';
import { Button } from '../../parts/index.ts';
import { shapesInWords } from '../../../order/index.ts';
import { type useTable } from './use-table.ts';

interface Props {
  table: Pick<ReturnType<typeof useTable>, 'shapes' | 'choose' | 'chooseAll'>;
  round: Round;
  things: BenchPlan['things'];
}

/** The things of a step along the way of the hand. Those that are chosen are done, put off or mended by themselves. */
export function Shapes({ table: { shapes, choose, chooseAll }, round, things }: Props) {
  const nameOf = new Map(things.map(({ id, name }) => [id, name]));
  return (
    <section aria-label="Shapes of this step" className="mt-3 border-t border-rule pt-2">
      <p className="flex items-baseline justify-between gap-2 text-[0.95rem] text-soft" role="status">
        {shapes.size === 0
          ? 'In turn along the way; press one to put it off, or to do it, by itself.'
          : `Done, Later and the others are for ${shapes.size === 1 ? 'this one' : `these ${shapes.size}`} alone.`}
        {shapes.size > 0 && (
          <Button look="bare" className="shrink-0 px-0!" onClick={chooseAll}>
            All of them
          </Button>
        )}
      </p>
      <ul className="mt-1 flex flex-wrap gap-1">
        {round.steps.map((step) => (
          <li key={step.id}>
            <button
              type="button"
              aria-pressed={shapes.has(step.id)}
              onClick={(event) => {
                choose(step.id);
                // The keys go back to the step: Space is Done again.
                event.currentTarget.blur();
              }}
              className={clsx(
                'min-h-9 border px-2 text-[0.95rem]',
                shapes.has(step.id) ? 'border-ink bg-ink text-leaf' : 'border-edge bg-leaf hover:border-ink',
              )}
            >
              {nameOf.get(step.thingId)}
              {step.regionIds.length > 1 && (
                <span className={clsx('ml-1.5 text-sm', !shapes.has(step.id) && 'text-soft')}>
                  {shapesInWords([step])}
                </span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
