import { format } from 'date-fns';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { PracticeSeries } from '../../contracts/index.ts';

/** How a drill has gone, attempt by attempt. */
export function PracticeChart({ series }: { series: PracticeSeries }) {
  const data = series.attempts.map(({ at, score }) => ({
    day: format(new Date(at), 'd MMM'),
    score: Math.round(100 * score),
  }));
  const [first, last] = [data[0], data.at(-1)];
  if (!first || !last) return null;
  return (
    <figure className="mb-3">
      <figcaption className="text-[0.95rem]">
        <span className="font-semibold">{series.drill}</span>, {data.length} times: from {first.score} to {last.score}{' '}
        of 100
        <span className="block text-sm text-soft">{series.measure}</span>
      </figcaption>
      <div className="mt-1 h-28">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 6, right: 10, bottom: 0, left: -22 }}>
            <CartesianGrid stroke="var(--rule)" strokeDasharray="2 3" vertical={false} />
            <XAxis
              dataKey="day"
              tick={{ fontSize: 12, fill: 'var(--soft)' }}
              stroke="var(--edge)"
              interval="preserveStartEnd"
            />
            <YAxis
              domain={[0, 100]}
              ticks={[0, 50, 100]}
              tick={{ fontSize: 12, fill: 'var(--soft)' }}
              stroke="var(--edge)"
            />
            <Tooltip
              contentStyle={{ background: 'var(--leaf)', border: '1px solid var(--ink)', color: 'var(--ink)' }}
            />
            <Line
              dataKey="score"
              stroke="var(--ink)"
              strokeWidth={2}
              dot={{ r: 3, fill: 'var(--leaf)', stroke: 'var(--ink)' }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
