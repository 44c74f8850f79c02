import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';

interface Row {
  code: string;
  colour: string;
  minutes: number;
}

/** Minutes that each pencil was in the hand, longest first; a bar has its pencil's colour. */
export function MinutesByPencil({ pencils }: { pencils: readonly Row[] }) {
  const rows = pencils.map(({ code, colour, minutes }) => ({
    code,
    fill: colour,
    minutes: Math.round(10 * minutes) / 10,
  }));
  return (
    <div role="img" aria-label={rows.map(({ code, minutes }) => `${code} ${minutes} min`).join(', ')}>
      <ResponsiveContainer width="100%" height={26 * rows.length + 30}>
        <BarChart
          data={rows}
          layout="vertical"
          margin={{ left: 0, right: 12, top: 0, bottom: 0 }}
          accessibilityLayer={false}
        >
          <XAxis type="number" unit=" min" tick={{ fill: 'var(--soft)', fontSize: 12 }} stroke="var(--rule)" />
          <YAxis
            type="category"
            dataKey="code"
            width={56}
            tick={{ fill: 'var(--ink)', fontSize: 13 }}
            stroke="var(--rule)"
            interval={0}
          />
          <Bar dataKey="minutes" stroke="#000" strokeWidth={0.6} isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
