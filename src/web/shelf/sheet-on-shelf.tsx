import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { Ellipsis } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { Name, type SheetCard, type SheetPlace } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { useCopySheetMutation, useEditSheetMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { pictureUrl } from '../desk/picture-url.ts';
import { copyTitle } from './order.ts';

/** A sheet as a printed page, with how far it is and what can be done with it. */
export function SheetOnShelf({ card }: { card: SheetCard }) {
  const share = card.steps ? card.stepsDone / card.steps : 0;
  const [naming, setNaming] = useState(false);
  return (
    <li>
      <Link
        to={`/sheets/${card.id}/${card.steps ? 'bench' : 'sheet'}`}
        className="group block"
        tabIndex={naming ? -1 : 0}
      >
        <span className="flex h-58 items-end">
          <span
            className="block max-h-full shadow-md transition-transform group-hover:-translate-y-1"
            style={{
              background: paperById(card.paper).tint,
              aspectRatio: `${card.widthMm} / ${card.heightMm}`,
              ...(card.widthMm > card.heightMm ? { width: '100%' } : { height: '100%' }),
            }}
          >
            <img
              src={pictureUrl(card.id, card.pictureHash)}
              alt={`The page ${card.title}`}
              loading="lazy"
              className="h-full w-full mix-blend-multiply"
            />
          </span>
        </span>
        {!naming && (
          <span className="mt-2 line-clamp-2 font-head text-lg leading-snug font-bold" title={card.title}>
            {card.title}
          </span>
        )}
      </Link>
      {naming && <Rename card={card} onDone={() => setNaming(false)} />}
      <div className="flex items-start gap-2">
        <p className="min-w-0 flex-1 truncate text-[0.95rem] text-soft">
          {card.widthMm} × {card.heightMm} mm, {paperById(card.paper).name}
        </p>
        <SheetMenu card={card} onRename={() => setNaming(true)} />
      </div>
      <p className="flex items-center gap-2 text-[0.95rem]">
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
  if (steps) return `${stepsDone} of ${steps} layers laid`;
  if (things) return `${regions} regions, ${things} things named`;
  return regions ? `${regions} regions found` : 'not begun';
}

function Rename({ card, onDone }: { card: SheetCard; onDone(): void }) {
  const [edit] = useEditSheetMutation();
  const [title, setTitle] = useState(card.title);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.select(), []);
  const valid = Name.safeParse(title);
  const keep = async () => {
    if (valid.success && valid.data !== card.title) {
      const { error } = await edit({ sheetId: card.id, edit: { title: valid.data } });
      if (error) toast.error(sentenceOf(error));
    }
    onDone();
  };
  return (
    <form
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (valid.success) void keep();
      }}
    >
      <input
        ref={field}
        aria-label={`New name of ${card.title}`}
        className="h-10 w-full border border-edge bg-leaf px-2"
        value={title}
        onChange={(event) => setTitle(event.target.value)}
        onBlur={() => void keep()}
        onKeyDown={(event) => {
          if (event.key === 'Escape') onDone();
        }}
      />
      {!valid.success && (
        <p role="alert" className="text-[0.95rem] font-semibold">
          {valid.error.issues[0]?.message}
        </p>
      )}
    </form>
  );
}

const GONE_TO: Record<SheetPlace, string> = {
  shelf: 'lies on the shelf again.',
  drawer: 'is in the drawer.',
  bin: 'is thrown away.',
};

function SheetMenu({ card, onRename }: { card: SheetCard; onRename(): void }) {
  const [edit] = useEditSheetMutation();
  const [copy] = useCopySheetMutation();
  const put = async (place: SheetPlace, before: SheetPlace | null) => {
    const { error } = await edit({ sheetId: card.id, edit: { place } });
    if (error) return void toast.error(sentenceOf(error));
    toast(`${card.title} ${GONE_TO[place]}`, {
      ...(before && { action: { label: 'Undo', onClick: () => void put(before, null) } }),
    });
  };
  const duplicate = async () => {
    const { error } = await copy({ sheetId: card.id, id: nanoid(), title: copyTitle(card.title) });
    if (error) toast.error(sentenceOf(error));
    else toast(`A copy of ${card.title} lies on the shelf.`);
  };
  const moves: readonly (readonly [string, () => void])[] =
    card.place === 'shelf'
      ? [
          ['Rename', onRename],
          ['Duplicate', () => void duplicate()],
          ['Put in the drawer', () => void put('drawer', 'shelf')],
          ['Throw away', () => void put('bin', 'shelf')],
        ]
      : [
          ['Back on the shelf', () => void put('shelf', card.place)],
          ...(card.place === 'drawer' ? [['Throw away', () => void put('bin', 'drawer')] as const] : []),
        ];
  return (
    <Menu>
      <MenuButton
        aria-label={`More for ${card.title}`}
        className="flex h-8 w-8 shrink-0 items-center justify-center hover:bg-card"
      >
        <Ellipsis size={18} aria-hidden />
      </MenuButton>
      <MenuItems
        anchor={{ to: 'bottom end', gap: 2 }}
        className="z-50 min-w-48 border border-ink bg-leaf py-1 text-ink shadow-lg focus:outline-none"
      >
        {moves.map(([label, onClick]) => (
          <MenuItem key={label}>
            <button
              type="button"
              className="block min-h-10 w-full px-3 py-1.5 text-left data-focus:bg-card"
              onClick={onClick}
            >
              {label}
            </button>
          </MenuItem>
        ))}
        <MenuItem>
          <a
            className="block min-h-10 w-full px-3 py-1.5 data-focus:bg-card"
            href={`/api/sheets/${card.id}/export`}
            download
          >
            Export as a zip
          </a>
        </MenuItem>
      </MenuItems>
    </Menu>
  );
}
