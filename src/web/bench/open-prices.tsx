import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { type OpenPrice } from '../../core/bench/index.ts';
import { about } from '../../order/index.ts';

const TICK = { fill: 'var(--soft)', fontSize: 12 };

/** The name of a number of open things on the axis. */
const nameOf = (openThings: number) => (openThings === Infinity ? 'any' : String(openThings));

/** Pick-ups, and minutes beside the laying, over how many things may be open: two curves, with the chosen number marked. */
export default function OpenPrices({ prices, chosen }: { prices: readonly OpenPrice[]; chosen: number }) {
  const points = prices.map(({ openThings, pickUps, overheadMinutes }) => {
    return { name: nameOf(openThings), pickUps, minutes: Math.round(overheadMinutes) };
  });
  const words = prices.map(
    ({ openThings, pickUps, overheadMinutes }) =>
      `${nameOf(openThings)} open: ${pickUps}, ${about(overheadMinutes)} beside the laying`,
  );
  const here = prices.find(({ openThings }) => openThings === chosen);
  return (
    <figure>
      <div role="img" aria-label={`Pick-ups by things open. ${words.join('; ')}`} className="h-40">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 6, right: 0, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--rule)" strokeDasharray="2 3" vertical={false} />
            <XAxis dataKey="name" tick={TICK} stroke="var(--edge)" padding={{ left: 14, right: 14 }} interval={0} />
            <YAxis yAxisId="pick-ups" width={34} tick={TICK} stroke="var(--edge)" domain={[0, 'auto']} tickCount={3} />
            <YAxis
              yAxisId="minutes"
              width={34}
              tick={TICK}
              stroke="var(--edge)"
              domain={[0, 'auto']}
              orientation="right"
            />
            {here && <ReferenceLine yAxisId="pick-ups" x={nameOf(chosen)} stroke="var(--ink)" strokeWidth={1.5} />}
            <Line yAxisId="pick-ups" dataKey="pickUps" {...drawn} />
            <Line yAxisId="minutes" dataKey="minutes" strokeDasharray="5 4" {...drawn} />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="mt-1 text-sm text-soft">
        <span className="flex justify-between">
          <Drawn name="pick-ups" />
          <Drawn name="minutes beside the laying" dashes="5 4" />
        </span>
        {here && (
          <span className="mt-1 block text-[0.95rem] text-ink">
            As chosen: {here.pickUps} pick-ups, {about(here.overheadMinutes)} beside the laying.
          </span>
        )}
      </figcaption>
    </figure>
  );
}

const drawn = {
  stroke: 'var(--ink)',
  strokeWidth: 2,
  dot: { r: 3, fill: 'var(--leaf)', stroke: 'var(--ink)', strokeDasharray: '' },
  isAnimationActive: false,
};

/** How a curve is drawn, and what it stands for. */
function Drawn({ name, dashes }: { name: string; dashes?: string }) {
  return (
    <span className="flex items-center gap-1.5">
      <svg width="22" height="4" aria-hidden>
        <line x1="0" y1="2" x2="22" y2="2" stroke="var(--ink)" strokeWidth="2" strokeDasharray={dashes} />
      </svg>
      {name}
    </span>
  );
}
