import { Download } from 'lucide-react';
import type { Pencil } from '../../contracts/index.ts';
import { csvOf } from '../../formats/index.ts';
import { type ShoppingItem, type ShoppingReason, shoppingList } from '../../order/index.ts';
import { useWearQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button, Notice, Section, Why } from '../parts/index.ts';
import { saveText } from '../parts/save-file.ts';

const WORDS: Readonly<Record<ShoppingReason, string>> = {
  missing: 'is missing',
  'runs out': 'will not last',
  'runs low': 'will be too short to hold',
  ordered: 'is on its way',
};
const LISTED = 8;

/** What to buy for the sheets planned with this tray, and how long its leads last. */
export function Shopping({ trayId, pencils }: { trayId: string; pencils: readonly Pencil[] }) {
  const { data: wear, error } = useWearQuery(trayId);
  if (pencils.length === 0) return null;
  const items = wear ? shoppingList(pencils, wear) : [];
  const unknown =
    wear?.filter(({ pencilId }) => pencils.find(({ id }) => id === pencilId)?.leadMm === null).length ?? 0;
  return (
    <Section title="Shopping list">
      {error && <Notice kind="refused">{sentenceOf(error)}</Notice>}
      {wear?.length === 0 && (
        <p className="text-[0.95rem] text-soft">
          Nothing is planned with this tray yet. Once a sheet has its palette, the leads that will not last stand here.
        </p>
      )}
      {wear && wear.length > 0 && (
        <>
          <p className="text-[0.95rem]">
            {items.length === 0
              ? `All ${wear.length} pencils that the sheets planned take will last.`
              : `${items.length} of the ${wear.length} pencils that the sheets planned take:`}{' '}
            <Why of="how long leads last">
              Area of every layer still to be laid, times what a pass at its pressure leaves on the paper, plus what the
              sharpener takes: about 1.1 mm a point, a point for 9 cm² at a medium press, sooner when soft. An estimate
              that nobody has weighed yet.
              {unknown > 0 && ` Of ${unknown} nobody said how long they are.`}
            </Why>
          </p>
          <ul className="mt-1 grid gap-1 text-[0.95rem]" aria-label="To buy">
            {items.slice(0, LISTED).map(({ pencil, reason, lengthMm }) => (
              <li key={pencil.id}>
                <strong className="font-figure">{pencil.code}</strong> {pencil.ownName || pencil.name} {WORDS[reason]}:{' '}
                <span className="text-soft">{lengthWords(pencil, lengthMm)}</span>
              </li>
            ))}
          </ul>
          {items.length > LISTED && <p className="text-[0.95rem] text-soft">and {items.length - LISTED} more</p>}
          {items.length > 0 && (
            <Button
              className="mt-2 w-full"
              onClick={() => saveText({ name: 'shopping list.csv', text: listed(items), mime: 'text/csv' })}
            >
              <Download size={16} /> Take the list away
            </Button>
          )}
        </>
      )}
    </Section>
  );
}

/** What is planned and what is left, in mm. */
export function lengthWords({ leadMm }: Pick<Pencil, 'leadMm'>, lengthMm: number): string {
  const takes = `takes about ${lengthMm < 1 ? 'under 1' : Math.round(lengthMm)} mm`;
  return leadMm === null ? takes : `${takes} of ${leadMm} mm`;
}

function listed(items: readonly ShoppingItem[]): string {
  return csvOf(
    items.map(({ pencil, reason, lengthMm, sheets }) => ({
      set: pencil.set,
      code: pencil.code,
      name: pencil.name,
      why: WORDS[reason],
      'takes mm': lengthMm.toFixed(1),
      'lead left mm': pencil.leadMm ?? '',
      for: sheets.join(', '),
    })),
  );
}
