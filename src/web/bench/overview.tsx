import { useMemo, useState } from 'react';
import type { BenchPlan } from '../../contracts/index.ts';
import { inHand } from '../../core/bench/index.ts';
import { about, heldFor } from '../../order/index.ts';

/** Height of a thing's row and of the strip of pencils, and width of the names, px. */
const ROW = 18;
const STRIP = 34;
const NAMES = 150;
/** A pencil's code is written where its run is at least this wide, px. */
const CODE_WIDTH = 46;

interface Timeline {
  id: string;
  row: number;
  colour: string;
  from: number;
  minutes: number;
  isDone: boolean;
  says: string;
}

/** The whole order in one picture: pencils along the top as they are picked up, things below, each open from its first mark to its last. */
export function Overview({ benchPlan, doneIds }: { benchPlan: BenchPlan; doneIds: ReadonlySet<string> }) {
  const [pointed, setPointed] = useState<string | null>(null);
  const { marks, runs, rows, cuts, whole } = useMemo(() => laidInTime(benchPlan, doneIds), [benchPlan, doneIds]);
  const width = 900;
  const x = (minutes: number) => NAMES + ((width - NAMES - 8) * minutes) / Math.max(1, whole);
  const height = STRIP + 10 + rows.length * ROW + 8;
  return (
    <div className="flex h-full flex-col bg-leaf">
      <p className="flex shrink-0 flex-wrap gap-x-4 px-4 pt-3 text-[0.95rem] text-soft">
        <span>Pencils along the top as they are picked up; each thing is open from its first mark to its last.</span>
        <span role="status" className="font-semibold text-ink">
          {pointed ?? ' '}
        </span>
      </p>
      <div className="min-h-0 flex-1 overflow-auto px-2 pb-16" tabIndex={0} role="group" aria-label="Order at a glance">
        <svg
          viewBox={`0 0 ${width} ${height}`}
          className="w-full"
          role="img"
          aria-label={`${runs.length} pick-ups for ${rows.length} things in ${benchPlan.sittings.length} sittings, ${about(whole)}`}
          onMouseLeave={() => setPointed(null)}
        >
          {runs.map(({ from, minutes, colour, code }, k) => (
            <g key={k} onMouseEnter={() => setPointed(`${code}, ${about(minutes)}`)}>
              <rect
                x={x(from)}
                y={4}
                width={Math.max(0.8, x(from + minutes) - x(from))}
                height={STRIP - 16}
                fill={colour}
              />
              {x(from + minutes) - x(from) > CODE_WIDTH && (
                <text x={x(from) + 2} y={STRIP - 1} fontSize={11} className="fill-ink font-figure">
                  {code}
                </text>
              )}
            </g>
          ))}
          {cuts.map((at, k) => (
            <line
              key={k}
              x1={x(at)}
              x2={x(at)}
              y1={0}
              y2={height}
              className="stroke-ink"
              strokeWidth={0.7}
              strokeDasharray="3 3"
            />
          ))}
          {rows.map(({ name, from, to }, row) => {
            const y = STRIP + 10 + row * ROW;
            return (
              <g key={row}>
                <text x={NAMES - 8} y={y + ROW - 6} fontSize={12.5} textAnchor="end" className="fill-ink">
                  {name.length > 21 ? `${name.slice(0, 20)}…` : name}
                </text>
                <line
                  x1={NAMES}
                  x2={width - 8}
                  y1={y + ROW - 0.5}
                  y2={y + ROW - 0.5}
                  className="stroke-rule"
                  strokeWidth={0.5}
                />
                <line
                  x1={x(from)}
                  x2={x(to)}
                  y1={y + ROW / 2}
                  y2={y + ROW / 2}
                  className="stroke-soft"
                  strokeWidth={1}
                />
              </g>
            );
          })}
          {marks.map(({ id, row, colour, from, minutes, isDone, says }) => (
            <rect
              key={id}
              x={x(from)}
              y={STRIP + 12 + row * ROW}
              width={Math.max(1.6, x(from + minutes) - x(from))}
              height={ROW - 5}
              fill={colour}
              stroke="var(--ink)"
              strokeWidth={isDone ? 0 : 0.5}
              opacity={isDone ? 0.35 : 1}
              onMouseEnter={() => setPointed(says)}
            />
          ))}
        </svg>
      </div>
    </div>
  );
}

/** Where each step lies in time, minutes from the beginning; things in the order in which they are opened. */
function laidInTime({ order, steps, pencils, things, sittings }: BenchPlan, doneIds: ReadonlySet<string>) {
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  const nameOf = new Map(things.map((thing) => [thing.id, thing.name]));
  const lastOf = new Set(sittings.slice(0, -1).map((sitting) => sitting.steps.at(-1)));
  const rowOf = new Map<string, number>();
  const rows: { name: string; from: number; to: number }[] = [];
  const marks: Timeline[] = [];
  const runs: { held: string; code: string; colour: string; from: number; minutes: number }[] = [];
  const cuts: number[] = [];
  let clock = 0;
  for (const id of order) {
    const step = stepOf.get(id)!;
    const { code, colour } = heldFor(step, pencils);
    const name = nameOf.get(step.thingId) ?? '';
    if (!rowOf.has(step.thingId)) {
      rowOf.set(step.thingId, rows.length);
      rows.push({ name, from: clock, to: clock });
    }
    const row = rowOf.get(step.thingId)!;
    const says = `${code} on ${name}, ${step.pressure}, ${about(step.minutes)}`;
    marks.push({ id, row, colour, from: clock, minutes: step.minutes, isDone: doneIds.has(id), says });
    const run = runs.at(-1);
    if (run?.held === inHand(step)) run.minutes += step.minutes;
    else runs.push({ held: inHand(step), code, colour, from: clock, minutes: step.minutes });
    clock += step.minutes;
    rows[row]!.to = clock;
    if (lastOf.has(id)) cuts.push(clock);
  }
  return { marks, runs, rows, cuts, whole: clock };
}
