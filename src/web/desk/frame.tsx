import { type ReactNode, useEffect, useRef } from 'react';
import { Header } from './header.tsx';
import { PencilRest } from './pencil-rest.tsx';
import { useDesk } from './desk-context.ts';

interface Props {
  title: string;
  centre: ReactNode;
  side: ReactNode;
  /** The side table goes back to its top when this changes, as when another thing's decisions are shown there. */
  topOn?: string | null;
  /** The rest holds the pencils of the whole page, whatever thing is chosen. */
  wholeRest?: boolean;
}

/**
 * The desk: header, the sheet (or what a stage puts in its place), the side table, and the pencil rest along the
 * bottom. On a narrow screen the side table lies below the sheet.
 */
export function Frame({ centre, side, title, topOn, wholeRest = false }: Props) {
  const { sheet } = useDesk();
  const table = useRef<HTMLElement>(null);
  useEffect(() => void table.current?.scrollTo({ top: 0 }), [topOn]);
  return (
    <div className="flex h-dvh min-h-130 flex-col">
      <Header sheetId={sheet.id} />
      <main className="relative flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto">
        <h1 className="sr-only">{`${title}: ${sheet.title}`}</h1>
        <div className="min-w-0 flex-1 max-md:h-[66dvh] max-md:flex-none">{centre}</div>
        <aside
          ref={table}
          aria-label={title}
          className="relative flex w-92 shrink-0 flex-col overflow-y-auto border-l border-rule bg-card px-5 py-4 max-md:w-full max-md:overflow-visible max-md:border-t max-md:border-l-0"
          tabIndex={0}
        >
          {side}
        </aside>
      </main>
      <PencilRest whole={wholeRest} />
    </div>
  );
}
