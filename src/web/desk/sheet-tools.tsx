import { Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import type { SheetState } from '../../contracts/index.ts';
import { stepBack, useSaving } from '../api/use-plan.ts';
import { Find } from './find.tsx';

/** What the header has of a sheet: whether it is saved, undo and redo, and finding things. */
export default function SheetTools({ sheet }: { sheet: SheetState }) {
  return (
    <>
      <UndoRedo sheetId={sheet.id} undo={sheet.undo} redo={sheet.redo} />
      <Find sheet={sheet} />
    </>
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
