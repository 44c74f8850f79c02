import { type ReactNode } from 'react';
import { Header } from './header.tsx';
import { PencilRest } from './pencil-rest.tsx';
import { useDesk } from './desk-context.ts';

/** The desk: header, the sheet (or what a stage puts in its place), the side table, and the pencil rest along the bottom. */
export function Frame({ centre, side, title }: { centre: ReactNode; side: ReactNode; title: string }) {
  const { sheet } = useDesk();
  return (
    <div className="flex h-dvh min-h-130 flex-col">
      <Header sheetId={sheet.id} />
      <main className="flex min-h-0 flex-1">
        <h1 className="sr-only">{`${title}: ${sheet.title}`}</h1>
        <div className="min-w-0 flex-1">{centre}</div>
        <aside
          aria-label={title}
          className="flex w-92 shrink-0 flex-col overflow-y-auto border-l border-rule bg-card px-5 py-4"
          tabIndex={0}
        >
          {side}
        </aside>
      </main>
      <PencilRest />
    </div>
  );
}
