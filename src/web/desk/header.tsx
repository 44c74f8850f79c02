import clsx from 'clsx';
import { LibraryBig, Settings2 } from 'lucide-react';
import { Suspense, lazy } from 'react';
import { Link, NavLink } from 'react-router';
import { useSheetQuery } from '../api/desk-api.ts';
import { STAGE_LINKS, stageAddress } from './stages.ts';

// The shelf needs none of it.
const SheetTools = lazy(() => import('./sheet-tools.tsx'));

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
        {sheet && (
          <Suspense fallback={<span className="h-10" />}>
            <SheetTools sheet={sheet} />
          </Suspense>
        )}
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
