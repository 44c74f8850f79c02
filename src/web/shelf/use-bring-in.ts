import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCreateSheetMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { type PrintedPage } from './choose-pdf-page.tsx';
import { isPdf } from './pdf.ts';
import { worthStraightening } from './straight-size.ts';
import { type Photograph } from './straighten.tsx';

const MOST_BYTES = 60 * 1024 * 1024;

/** Sends a file to the desk and opens it; what is refused stays on the shelf with its sentence. */
export function useBringIn() {
  const [create, { isLoading: busy }] = useCreateSheetMutation();
  const [refused, setRefused] = useState<string | null>(null);
  const [pdf, setPdf] = useState<File | null>(null);
  const [photo, setPhoto] = useState<Photograph | null>(null);
  const [looking, setLooking] = useState(false);
  const navigate = useNavigate();
  const bringIn = async (file: File) => {
    setRefused(null);
    if (file.size > MOST_BYTES) return setRefused('This file is larger than 60 MB. Scan the page at 300 dpi.');
    if (await isPdf(file)) return setPdf(file);
    setLooking(true);
    const found = await pageIn(file);
    setLooking(false);
    if (found) setPhoto(found);
    else await bringWhole(file);
  };
  const bringWhole = async (file: File) => {
    putAway();
    await send(file.name, (form) => form.set('file', file));
  };
  const bringPage = async (
    file: File,
    { picture, widthMm, heightMm }: Pick<PrintedPage, 'picture'> & Partial<PrintedPage>,
  ) => {
    putAway();
    await send(file.name, (form) => {
      if (widthMm && heightMm) {
        form.set('widthMm', String(Math.round(widthMm)));
        form.set('heightMm', String(Math.round(heightMm)));
      }
      form.set('file', picture, 'page.png');
      form.set('original', file);
    });
  };
  const send = async (name: string, fill: (form: FormData) => void) => {
    const id = nanoid();
    const form = new FormData();
    form.set('id', id);
    form.set('title', titleOf(name));
    fill(form);
    const result = await create({ sheetId: id, form });
    if (result.error) setRefused(sentenceOf(result.error));
    else void navigate(`/sheets/${id}/sheet`);
  };
  const putAway = () => {
    setPdf(null);
    setPhoto(null);
  };
  return { bringIn, bringWhole, bringPage, pdf, photo, putAway, busy: busy || looking, refused };
}

/** The page in a photograph that shows more than the page; null for scans, drawings and what cannot be read here. */
async function pageIn(file: File): Promise<Photograph | null> {
  if (!/\.(jpe?g|webp|png)$/i.test(file.name)) return null;
  const { photoJobs } = await import('../workers/index.ts');
  // A picture that cannot even be looked at goes to the desk as it is, which says what is wrong with it.
  const outcome = await photoJobs.start('findPage', { photo: file }).outcome;
  photoJobs.rest();
  if (outcome.kind !== 'done' || !outcome.value.quad) return null;
  const { width, height, quad } = outcome.value;
  return worthStraightening(quad, { width, height }) ? { file, width, height, quad } : null;
}

/** Takes in a picture that is pasted while the shelf is open. */
export function usePasted(bringIn: (file: File) => Promise<void>) {
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const [file] = event.clipboardData?.files ?? [];
      if (file) void bringIn(file);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  });
}

function titleOf(fileName: string): string {
  const words = fileName
    .replace(/\.[^.]*$/, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  return words.slice(0, 60) || 'A page of my own';
}
