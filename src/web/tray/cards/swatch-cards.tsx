import { format } from 'date-fns';
import { Printer, ScanLine } from 'lucide-react';
import { useState } from 'react';
import type { Pencil } from '../../../contracts/index.ts';
import { useCardsQuery } from '../../api/desk-api.ts';
import { Button, Section } from '../../parts/index.ts';
import { PdfOf } from './pdf-of.tsx';
import { PrintCard } from './print-card.tsx';
import { ReadCard } from './read-card.tsx';

/** So many of the newest cards are listed. */
const LISTED = 4;

interface Props {
  trayId: string;
  pencils: readonly Pencil[];
  /** Those that the search shows. */
  shown: readonly Pencil[];
  paper: string;
}

/** Swatch cards: printed for some pencils, filled in at the table, brought back as a picture and read. */
export function SwatchCards({ trayId, pencils, shown, paper }: Props) {
  const { data: cards = [] } = useCardsQuery(trayId);
  const [open, setOpen] = useState<'print' | 'read' | null>(null);
  const newest = [...cards].reverse().slice(0, LISTED);
  return (
    <Section title="Swatch cards">
      <p className="mb-2 text-[0.95rem] text-soft">
        Print a card, lay each pencil’s patches in your own hand, photograph it: the colours here become yours.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <Button onClick={() => setOpen('print')}>
          <Printer size={16} /> Print a card
        </Button>
        <Button disabled={cards.length === 0} onClick={() => setOpen('read')}>
          <ScanLine size={16} /> Read one back
        </Button>
      </div>
      {newest.length > 0 && (
        <ul className="mt-2 grid gap-1 text-[0.95rem]" aria-label="Printed cards">
          {newest.map((card) => (
            <li key={card.id} className="flex items-center justify-between gap-2">
              <span>
                Card {card.number}{' '}
                <span className="text-soft">
                  {card.emptyRows ? `${card.emptyRows} empty rows` : `${card.pencilIds.length} pencils`},{' '}
                  {format(new Date(card.at), 'd MMM')}
                </span>
              </span>
              <PdfOf trayId={trayId} cardId={card.id} number={card.number} />
            </li>
          ))}
        </ul>
      )}
      {open === 'print' && (
        <PrintCard trayId={trayId} pencils={pencils} shown={shown} paper={paper} onClose={() => setOpen(null)} />
      )}
      {open === 'read' && <ReadCard trayId={trayId} pencils={pencils} cards={cards} onClose={() => setOpen(null)} />}
    </Section>
  );
}
