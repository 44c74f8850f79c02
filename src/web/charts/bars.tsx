import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';

export interface BarRow {
  name: string;
  value: number;
  /** A colour where the row stands for one, else a grey. */
  fill: string;
}

interface BarsProps {
  rows: readonly BarRow[];
  /** All that is shown, in words. */
  label: string;
  /** Of the values, after a space. */
  unit: string;
  nameWidth: number;
}

/** Bars that lie one below the other, each by its name. */
export function Bars({ rows, label, unit, nameWidth }: BarsProps) {
  return (
    <div role="img" aria-label={label}>
      <ResponsiveContainer width="100%" height={28 * rows.length + 30}>
        <BarChart
          data={[...rows]}
          layout="vertical"
          margin={{ left: 0, right: 12, top: 0, bottom: 0 }}
          accessibilityLayer={false}
        >
          <XAxis type="number" unit={` ${unit}`} tick={{ fill: 'var(--soft)', fontSize: 12 }} stroke="var(--rule)" />
          <YAxis
            type="category"
            dataKey="name"
            width={nameWidth}
            tick={{ fill: 'var(--ink)', fontSize: 14 }}
            stroke="var(--rule)"
            interval={0}
          />
          <Bar dataKey="value" stroke="var(--ink)" strokeWidth={0.6} isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
