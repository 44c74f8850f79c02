import { Bars } from '../charts/index.ts';

interface Row {
  code: string;
  colour: string;
  minutes: number;
}

/** Minutes that each pencil was in the hand, longest first; a bar has its pencil's colour. */
export function MinutesByPencil({ pencils }: { pencils: readonly Row[] }) {
  const rows = pencils.map(({ code, colour, minutes }) => ({
    name: code,
    fill: colour,
    value: Math.round(10 * minutes) / 10,
  }));
  const label = rows.map(({ name, value }) => `${name} ${value} min`).join(', ');
  return <Bars rows={rows} label={label} unit="min" nameWidth={56} />;
}
