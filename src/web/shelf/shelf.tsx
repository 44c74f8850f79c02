import { Suspense, lazy, useState } from 'react';
import type { SheetPlace } from '../../contracts/index.ts';
import { useSheetsQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Header } from '../desk/header.tsx';
import { Notice } from '../parts/index.ts';
import { BringIn } from './bring-in.tsx';
import { SheetsHere } from './sheets-here.tsx';
import { useBringIn, usePasted } from './use-bring-in.ts';

// What is needed for one kind of file only comes with it.
const ChoosePdfPage = lazy(() => import('./choose-pdf-page.tsx'));
const Straighten = lazy(() => import('./straighten.tsx'));
const TakePicture = lazy(() => import('../devices/take-picture.tsx'));

const HEADINGS: Record<SheetPlace, { title: string; says: string }> = {
  shelf: {
    title: 'Which page tonight?',
    says: 'Lay a line-art page on the desk. Harmonie finds its regions, plans a palette from your pencils and works out the layers; the colouring stays on paper.',
  },
  drawer: { title: 'In the drawer', says: 'Sheets that were put by. Nothing of them is lost.' },
  bin: { title: 'Thrown away', says: 'Sheets that were thrown away. Each can be laid back on the shelf as it was.' },
};

/** The shelf: every sheet as a printed page lying on the desk, and one place to bring in a page of one's own. */
export function Shelf() {
  const { data: sheets, error } = useSheetsQuery();
  const { bringIn, bringWhole, bringPage, pdf, photo, putAway, busy, refused } = useBringIn();
  usePasted(bringIn);
  const [place, setPlace] = useState<SheetPlace>('shelf');
  const [device, setDevice] = useState<'scanner' | 'camera' | null>(null);
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
      <main className="mx-auto max-w-[82rem] px-8 pt-3 pb-12">
        <h1 className="text-3xl">{HEADINGS[place].title}</h1>
        <p className="mt-2 max-w-2xl text-soft">{HEADINGS[place].says}</p>
        {error && <Notice kind="refused">{sentenceOf(error)}</Notice>}
        {refused && (
          <div className="mt-5 max-w-2xl">
            <Notice kind="refused" title="This page was not brought in.">
              {refused}
            </Notice>
          </div>
        )}
        <div className="mt-6 flex items-start gap-10 max-md:flex-col max-md:items-stretch max-md:gap-6">
          {sheets ? <SheetsHere cards={sheets} place={place} onPlace={setPlace} /> : <div className="flex-1" />}
          <BringIn busy={busy} onFile={(file) => void bringIn(file)} onDevice={setDevice} />
        </div>
        <Suspense>
          {pdf && <ChoosePdfPage file={pdf} onPage={(page) => void bringPage(pdf, page)} onClose={putAway} />}
          {photo && (
            <Straighten
              photo={photo}
              onPage={(page) => void bringPage(photo.file, page)}
              onWhole={() => void bringWhole(photo.file)}
              onClose={putAway}
            />
          )}
          {device && (
            <TakePicture
              kind={device}
              onClose={() => setDevice(null)}
              onFile={(file) => {
                setDevice(null);
                void bringIn(file);
              }}
            />
          )}
        </Suspense>
      </main>
    </div>
  );
}
