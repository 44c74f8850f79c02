import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import clsx from 'clsx';
import { useEffect, useRef, useState } from 'react';
import { Button, Notice } from '../parts/index.ts';
import { type OpenPdf, openPdf } from './pdf.ts';

export interface PrintedPage {
  picture: Blob;
  widthMm: number;
  heightMm: number;
}

/** So many pages are shown at once. */
const SHOWN = 12;

/** Asks which page of a PDF to bring in, and draws it. */
export default function ChoosePdfPage({
  file,
  onPage,
  onClose,
}: {
  file: File;
  onPage(page: PrintedPage): void;
  onClose(): void;
}) {
  const [pdf, setPdf] = useState<OpenPdf | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [chosen, setChosen] = useState(1);
  const [from, setFrom] = useState(1);
  const [drawing, setDrawing] = useState(false);
  useEffect(() => {
    let opened: OpenPdf | null = null;
    let wanted = true;
    openPdf(file).then(
      (open) => {
        opened = open;
        if (wanted) setPdf(open);
        else open.close();
      },
      (error: Error) => wanted && setFault(error.message),
    );
    return () => {
      wanted = false;
      opened?.close();
    };
  }, [file]);
  const bring = async () => {
    if (!pdf) return;
    setDrawing(true);
    try {
      onPage(await pdf.print(chosen));
    } catch (error) {
      setFault((error as Error).message);
      setDrawing(false);
    }
  };
  const last = Math.min(pdf?.pages ?? 0, from + SHOWN - 1);
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-black/50" aria-hidden />
      <div className="fixed inset-0 flex items-center justify-center p-6">
        <DialogPanel className="flex max-h-full w-full max-w-4xl flex-col bg-card p-6 shadow-xl">
          <DialogTitle className="text-2xl">Which page of this PDF?</DialogTitle>
          <p className="mt-1 text-soft">
            {pdf
              ? `${file.name} has ${pdf.pages} ${pdf.pages === 1 ? 'page' : 'pages'}.`
              : fault
                ? file.name
                : 'Opening it …'}
          </p>
          {fault && (
            <div className="mt-3">
              <Notice kind="refused">{fault}</Notice>
            </div>
          )}
          {pdf && (
            <ul className="mt-4 grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-4 overflow-y-auto">
              {Array.from({ length: last - from + 1 }, (_, k) => from + k).map((page) => (
                <li key={page}>
                  <button
                    type="button"
                    aria-pressed={page === chosen}
                    aria-label={`Page ${page}`}
                    className={clsx('block w-full border-2 p-1', page === chosen ? 'border-ink' : 'border-transparent')}
                    onClick={() => setChosen(page)}
                  >
                    <Thumbnail pdf={pdf} page={page} />
                    <span className="mt-1 block text-center font-figure">{page}</span>
                  </button>
                </li>
              ))}
            </ul>
          )}
          <div className="mt-5 flex items-center gap-3">
            {pdf && pdf.pages > SHOWN && (
              <>
                <Button disabled={from === 1} onClick={() => setFrom(Math.max(1, from - SHOWN))}>
                  Earlier pages
                </Button>
                <Button disabled={last === pdf.pages} onClick={() => setFrom(from + SHOWN)}>
                  Later pages
                </Button>
              </>
            )}
            <span className="ml-auto" />
            <Button onClick={onClose}>Put it away</Button>
            <Button look="strong" disabled={!pdf || drawing} onClick={() => void bring()}>
              {drawing ? 'Drawing the page …' : `Bring in page ${chosen}`}
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function Thumbnail({ pdf, page }: { pdf: OpenPdf; page: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    // A page that cannot be drawn small says so when it is brought in.
    pdf.draw(page, canvas.current!, 220).catch(() => undefined);
  }, [pdf, page]);
  return <canvas ref={canvas} className="mx-auto h-40 border border-rule bg-white object-contain" />;
}
