import { type OpenPrice } from '../../core/bench/index.ts';
import { Bars } from '../charts/index.ts';
import { about } from './about.ts';

/** Pick-ups by how many things may be open, the chosen number in black; what it comes to beside each. */
export default function OpenPrices({ prices, chosen }: { prices: readonly OpenPrice[]; chosen: number }) {
  const rows = prices.map(({ openThings, pickUps, pickUpMinutes }) => ({
    name: openThings === 50 ? 'any' : String(openThings),
    value: pickUps,
    says: `${pickUps}, ${about(pickUpMinutes)}`,
    fill: openThings === chosen ? 'var(--strong)' : 'var(--rule)',
  }));
  const words = rows.map(({ name, says }) => `${name} open: ${says} of picking up`).join('; ');
  return <Bars rows={rows} label={`Pick-ups by things open. ${words}`} unit="pick-ups" nameWidth={34} />;
}
