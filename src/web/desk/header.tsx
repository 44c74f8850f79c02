import clsx from 'clsx';
import { LibraryBig, Redo2, Settings2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { Link, NavLink } from 'react-router';
import { useSheetQuery } from '../api/desk-api.ts';
import { stepBack, useSaving } from '../api/use-plan.ts';
import { Find } from './find.tsx';
import { STAGE_LINKS, stageAddress } from './stages.ts';

/** The slim header: sheet, stages, saved, undo and redo, and finding things. */
export function Header({ sheetId }: { sheetId: string | null }) {
  const { data: sheet } = useSheetQuery(sheetId ?? '', { skip: sheetId === null });
  return (
    <header className="flex print:hidden h-13 shrink-0 items-center gap-1 bg-desk px-3 max-md:h-auto max-md:flex-wrap">
      <Link
        to="/sheets"
        aria-label="The shelf"
        title="The shelf"
        className="flex h-10 w-10 items-center justify-center hover:bg-card"
      >
        <LibraryBig size={20} />
      </Link>
      <div className="mr-2 max-w-56 truncate max-md:max-w-28 font-head text-lg font-bold">
        {sheet?.title ?? 'Harmonie'}
      </div>
      {sheet && (
        <nav
          aria-label="Stages"
          className="flex h-full max-md:order-last max-md:h-11 max-md:w-full max-md:overflow-x-auto"
        >
          {STAGE_LINKS.map(({ to, label }) => (
            <NavLink
              key={to}
              to={stageAddress(sheet.id, sheet.trayId, to)}
              className={({ isActive }) =>
                clsx(
                  'flex items-center px-3.5 text-[0.98rem]',
                  isActive ? 'bg-leaf font-bold' : 'text-soft hover:bg-card hover:text-ink',
                )
              }
            >
              {label}
            </NavLink>
          ))}
        </nav>
      )}
      <div className="ml-auto flex items-center gap-1">
        {sheet && <UndoRedo sheetId={sheet.id} undo={sheet.undo} redo={sheet.redo} />}
        {sheet && <Find sheet={sheet} />}
        <Link
          to="/settings"
          aria-label="Settings"
          title="Settings"
          className="flex h-10 w-10 items-center justify-center hover:bg-card"
        >
          <Settings2 size={19} />
        </Link>
      </div>
    </header>
  );
}

function UndoRedo({ sheetId, undo, redo }: { sheetId: string; undo: string | null; redo: string | null }) {
  const saving = useSaving();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      void stepBack(sheetId, key === 'y' || event.shiftKey ? 'redo' : 'undo');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [sheetId]);
  const button =
    'flex h-10 w-10 items-center justify-center hover:bg-card disabled:opacity-35 disabled:hover:bg-transparent';
  return (
    <>
      <span className="mr-1 text-sm text-soft" role="status">
        {saving ? 'Saving' : 'Saved'}
      </span>
      <button
        type="button"
        className={button}
        disabled={!undo}
        onClick={() => void stepBack(sheetId, 'undo')}
        aria-label={undo ? `Undo: ${undo}` : 'Nothing to undo'}
        title={undo ? `Undo: ${undo}` : 'Nothing to undo'}
      >
        <Undo2 size={19} />
      </button>
      <button
        type="button"
        className={button}
        disabled={!redo}
        onClick={() => void stepBack(sheetId, 'redo')}
        aria-label={redo ? `Redo: ${redo}` : 'Nothing to redo'}
        title={redo ? `Redo: ${redo}` : 'Nothing to redo'}
      >
        <Redo2 size={19} />
      </button>
    </>
  );
}
