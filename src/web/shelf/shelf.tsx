import { nanoid } from 'nanoid';
import { FilePlus2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { SheetCard } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { useCreateSheetMutation, useSheetQuery, useSheetsQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Header } from '../desk/header.tsx';
import { pictureUrl } from '../desk/load-page.ts';
import { Button, Notice } from '../parts/index.ts';

const MOST_BYTES = 60 * 1024 * 1024;

/** The shelf: every sheet as a printed page lying on the desk, and one place to bring in a page of one's own. */
export function Shelf() {
  const { data: sheets, error } = useSheetsQuery();
  const { bringIn, busy, refused } = useBringIn();
  return (
    <div
      className="min-h-dvh"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) void bringIn(file);
      }}
    >
      <Header sheetId={null} />
      <main className="mx-auto max-w-6xl px-8 pt-4 pb-12">
        <h1 className="text-4xl">Which page tonight?</h1>
        <p className="mt-2 max-w-2xl text-soft">
          Lay a line-art page on the desk. Harmonie finds its regions, plans a palette from your pencils and works out
          the layers; the colouring stays on paper.
        </p>
        {error && <Notice kind="refused">{sentenceOf(error)}</Notice>}
        {refused && (
          <div className="mt-5 max-w-2xl">
            <Notice kind="refused" title="This page was not brought in.">
              {refused}
            </Notice>
          </div>
        )}
        <ul className="mt-7 flex flex-wrap items-start gap-9">
          {sheets?.map((sheet) => (
            <SheetOnShelf key={sheet.id} card={sheet} />
          ))}
          <li>
            <BringIn busy={busy} onFile={(file) => void bringIn(file)} />
          </li>
        </ul>
      </main>
    </div>
  );
}

function SheetOnShelf({ card }: { card: SheetCard }) {
  const { data: sheet } = useSheetQuery(card.id);
  const share = card.steps ? card.stepsDone / card.steps : 0;
  return (
    <li className="w-96">
      <Link to={`/sheets/${card.id}/${card.steps ? 'bench' : 'page'}`} className="group block">
        <span
          className="flex h-96 items-center justify-center p-3 shadow-md transition-transform group-hover:-translate-y-1"
          style={{ background: paperById(card.paper).tint }}
        >
          {sheet && (
            <img
              src={pictureUrl(card.id, sheet.picture.hash)}
              alt={`The page ${card.title}`}
              className="max-h-full max-w-full mix-blend-multiply"
            />
          )}
        </span>
        <span className="mt-3 block font-head text-xl font-bold">{card.title}</span>
      </Link>
      <p className="text-[0.95rem] text-soft">
        {card.widthMm} × {card.heightMm} mm, {paperById(card.paper).name}
      </p>
      <p className="mt-1 flex items-center gap-2 text-[0.95rem]">
        {card.steps > 0 && (
          <span className="h-2.5 w-24 border border-ink bg-leaf" aria-hidden>
            <span className="hatch-fill block h-full" style={{ width: `${100 * share}%` }} />
          </span>
        )}
        {progressOf(card)}
        {card.origin === 'demo' && <span className="ml-auto border border-edge px-1.5 text-sm text-soft">demo</span>}
      </p>
    </li>
  );
}

function progressOf({ regions, things, steps, stepsDone }: SheetCard): string {
  if (steps) return `${stepsDone} of ${steps} steps done`;
  if (things) return `${regions} regions, ${things} things named`;
  return regions ? `${regions} regions found` : 'not begun';
}

function BringIn({ busy, onFile }: { busy: boolean; onFile(file: File): void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="flex h-96 w-80 flex-col items-start justify-between border border-dashed border-edge p-6">
      <FilePlus2 size={34} strokeWidth={1.4} aria-hidden />
      <div>
        <h2 className="text-xl">A page of your own</h2>
        <p className="mt-1 text-[0.95rem] text-soft">
          A scan or drawing as PNG, JPEG or SVG. 200 to 300 dpi is best. Drop it anywhere here. Colour pages you own.
        </p>
      </div>
      <input
        ref={input}
        type="file"
        aria-label="Picture of a page"
        accept=".png,.jpg,.jpeg,.svg,image/png,image/jpeg,image/svg+xml"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
      <Button look="strong" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Reading the page …' : 'Bring in a page'}
      </Button>
    </div>
  );
}

/** Sends a file to the desk and opens it; what is refused stays on the shelf with its sentence. */
function useBringIn() {
  const [create, { isLoading: busy }] = useCreateSheetMutation();
  const [refused, setRefused] = useState<string | null>(null);
  const navigate = useNavigate();
  const bringIn = async (file: File) => {
    setRefused(null);
    if (file.size > MOST_BYTES) return setRefused('This file is larger than 60 MB. Scan the page at 300 dpi.');
    const id = nanoid();
    const form = new FormData();
    form.set('id', id);
    form.set('title', titleOf(file.name));
    form.set('file', file);
    const result = await create({ sheetId: id, form });
    if (result.error) setRefused(sentenceOf(result.error));
    else void navigate(`/sheets/${id}/page`);
  };
  return { bringIn, busy, refused };
}

function titleOf(fileName: string): string {
  const words = fileName
    .replace(/\.[^.]*$/, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  return words.slice(0, 60) || 'A page of my own';
}
