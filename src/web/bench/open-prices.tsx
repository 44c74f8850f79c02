import { Bar, BarChart, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { type OpenPrice } from '../../core/bench/index.ts';
import { about } from './about.ts';

/** Pick-ups by how many things may be open, the chosen number in black; what it comes to beside each. */
export default function OpenPrices({ prices, chosen }: { prices: readonly OpenPrice[]; chosen: number }) {
  const rows = prices.map(({ openThings, pickUps, pickUpMinutes }) => ({
    open: openThings === 50 ? 'any' : String(openThings),
    pickUps,
    says: `${pickUps}, ${about(pickUpMinutes)}`,
    fill: openThings === chosen ? 'var(--strong)' : 'var(--rule)',
  }));
  const words = rows.map(({ open, says }) => `${open} open: ${says} of picking up`).join('; ');
  return (
    <div role="img" aria-label={`Pick-ups by things open. ${words}`}>
      <ResponsiveContainer width="100%" height={30 * rows.length + 8}>
        <BarChart
          data={rows}
          layout="vertical"
          margin={{ left: 0, right: 136, top: 0, bottom: 0 }}
          accessibilityLayer={false}
        >
          <XAxis type="number" hide />
          <YAxis
            type="category"
            dataKey="open"
            width={34}
            tick={{ fill: 'var(--ink)', fontSize: 14 }}
            stroke="var(--rule)"
            interval={0}
          />
          <Bar dataKey="pickUps" stroke="var(--ink)" strokeWidth={0.6} isAnimationActive={false}>
            <LabelList dataKey="says" position="right" fill="var(--ink)" fontSize={14} />
          </Bar>
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
