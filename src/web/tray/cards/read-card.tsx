import { Camera, ScanLine } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { NewTrayFit, Pencil, SwatchCard } from '../../../contracts/index.ts';
import { hexOfLab } from '../../../core/colour/index.ts';
import { CARD_MM, type CardName, type CardReading, ROWS_ON_A_PAGE, pagesOf } from '../../../core/swatch-card/index.ts';
import { useAddReadingsMutation } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { TakePicture } from '../../devices/index.ts';
import { CardOver, Button, ChooseFile, Notice, Select, Progress } from '../../parts/index.ts';
import { photoJobs, useJob } from '../../workers/index.ts';
import { codesIn } from '../codes-in.ts';
import { useFit } from '../use-fit.ts';
import { pagesIn, patchWords, readingsToKeep, rowsOf } from './card-rows.ts';

interface Props {
  trayId: string;
  pencils: readonly Pencil[];
  cards: readonly SwatchCard[];
  onClose(): void;
}

interface FoundCard {
  picture: Blob;
  name: CardName | null;
}

/** Reads the picture of a filled swatch card: finds it, says which it is, reads its patches, keeps them and fits. */
export function ReadCard({ trayId, pencils, cards, onClose }: Props) {
  const [device, setDevice] = useState<'camera' | 'scanner' | null>(null);
  const [found, setFound] = useState<FoundCard | null>(null);
  const looking = useJob<FoundCard>('reading the picture');
  const look = async (file: Blob) => {
    setDevice(null);
    const card = await looking.start((report) => photoJobs.start('findCard', { photo: file }, { report }));
    if (card) setFound(card);
  };
  return (
    <CardOver title="Read a swatch card" width="wide" onClose={onClose}>
      {found ? (
        <Patches
          trayId={trayId}
          pencils={pencils}
          cards={cards}
          found={found}
          onClose={onClose}
          onAnother={() => {
            setFound(null);
          }}
        />
      ) : (
        <div className="mt-3 grid max-w-lg gap-3">
          <p className="text-[0.95rem] text-soft">
            All four round marks must lie in the picture. Which way round it lies, and what lamp it lies under, does not
            matter; shadows of hands do.
          </p>
          <ChooseFile label="A picture of a swatch card" accept="image/*" onFile={(file) => void look(file)} />
          <div className="flex gap-2">
            <Button className="flex-1" onClick={() => setDevice('camera')}>
              <Camera size={16} /> Photograph it
            </Button>
            <Button className="flex-1" onClick={() => setDevice('scanner')}>
              <ScanLine size={16} /> Scan it
            </Button>
          </div>
          {looking.now.state === 'working' && (
            <Progress share={looking.now.share} doing={`${looking.now.doing} …`} onCancel={looking.cancel} />
          )}
          {looking.now.state === 'refused' && <Notice kind="refused">{looking.now.sentence}</Notice>}
          <Button className="justify-self-end" onClick={onClose}>
            Put it away
          </Button>
        </div>
      )}

      {device && (
        <TakePicture
          kind={device}
          does="Read it as a card"
          onFile={(file) => void look(file)}
          onClose={() => setDevice(null)}
        />
      )}
    </CardOver>
  );
}

/** What was read of one page of a card, what of it is doubtful, and what comes of keeping it. */
function Patches(props: Omit<Props, 'onClose'> & { found: FoundCard; onClose(): void; onAnother(): void }) {
  const { trayId, pencils, cards, found, onClose, onAnother } = props;
  const url = useMemo(() => URL.createObjectURL(found.picture), [found.picture]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  const pages = pagesIn(cards);
  const named = pages.findLast(({ card, page }) => card.number === found.name?.card && page === found.name.page);
  const [pageId, setPageId] = useState((named ?? pages.at(-1)!).id);
  const { card, page } = pages.find(({ id }) => id === pageId)!;
  const [codes, setCodes] = useState('');
  const rows = rowsOf(card, page, pencils, codesIn(codes));
  const count = Math.min(ROWS_ON_A_PAGE, card.pencilIds.length + card.emptyRows - page * ROWS_ON_A_PAGE);
  const { now, start, cancel } = useJob<CardReading[]>('reading the patches');
  const { picture } = found;
  const { number, paper } = card;
  useEffect(() => {
    const input = { picture, rows: count, name: { card: number, page }, paper };
    void start((report) => photoJobs.start('readCard', input, { report }));
  }, [start, picture, count, number, page, paper]);
  const read = now.state === 'done' ? now.value : [];
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [kept, setKept] = useState(0);
  const [add, { isLoading }] = useAddReadingsMutation();
  const fitting = useFit(trayId, paper);
  const [done, setDone] = useState<NewTrayFit | null>(null);
  const doubtful = read.flatMap((reading, i) => (reading.doubt ? [{ ...reading, i }] : []));
  const keep = readingsToKeep(read, chosen, rows, paper, nanoid);
  const keepAndFit = async () => {
    if (!kept) {
      const { error } = await add({ trayId, readings: keep });
      if (error) return void toast.error(sentenceOf(error));
      setKept(keep.length);
    }
    try {
      setDone(await fitting.fit());
    } catch (refused) {
      toast.error(sentenceOf(refused));
    }
  };
  const codeOf = (row: number) => rows[row]?.code ?? `row ${row + 1}`;
  return (
    <div className="mt-3 grid gap-6 md:grid-cols-[auto_1fr]">
      <div className="relative w-96 self-start bg-ground">
        <img src={url} alt="The card, laid straight" className="block w-full" draggable={false} />
        <PatchesOver read={read} />
      </div>
      <div className="grid content-start gap-3">
        <Select
          label="Which card"
          value={pageId}
          options={pages.map(({ id, card: each, page: at }) => ({
            value: id,
            label: `Card ${each.number}${pagesOf(each.pencilIds.length + each.emptyRows) > 1 ? `, page ${at + 1}` : ''}`,
          }))}
          onChange={(id) => {
            setPageId(id);
            setKept(0);
            setDone(null);
          }}
        />
        <p className="text-[0.95rem] text-soft">
          {named
            ? 'Its boxes say which card it is.'
            : 'Its boxes could not be read, or belong to no card kept here: say which card it is.'}
        </p>
        {card.emptyRows > 0 && (
          <label className="text-[0.95rem]">
            <span className="text-soft">The codes you wrote, row by row; F-101 to F-118 stands for all between</span>
            <textarea
              value={codes}
              rows={3}
              spellCheck={false}
              className="w-full border border-edge bg-leaf p-2 font-figure text-sm"
              onChange={(event) => setCodes(event.target.value)}
            />
          </label>
        )}
        {now.state === 'working' && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
        {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
        {kept > 0 && !done && fitting.now.state !== 'working' && (
          <p role="status">{kept} readings are kept; they are not fitted yet.</p>
        )}
        {read.length > 0 && kept === 0 && (
          <>
            <p role="status">
              {read.length} patches read, {doubtful.length === 0 ? 'all even' : `${doubtful.length} doubtful`}
              {rows.some((row) => !row) && '; rows without a pencil of this tray are left out'}.
            </p>
            <DoubtfulPatches doubtful={doubtful} codeOf={codeOf} chosen={chosen} onChosen={setChosen} />
          </>
        )}
        {fitting.now.state === 'working' && (
          <Progress share={fitting.now.share} doing={`${fitting.now.doing} …`} onCancel={fitting.cancel} />
        )}
        {fitting.now.state === 'refused' && <Notice kind="refused">{fitting.now.sentence}</Notice>}
        {done && <WhatCame fit={done} rows={rows} pencils={pencils} />}
        <div className="flex flex-wrap gap-2">
          {!done && (
            <Button
              look="strong"
              className="flex-1"
              disabled={(keep.length === 0 && kept === 0) || isLoading || fitting.now.state === 'working'}
              onClick={() => void keepAndFit()}
            >
              {kept > 0 ? 'Fit to what is kept' : `Keep ${keep.length} readings and fit`}
            </Button>
          )}
          {done && (
            <Button look="strong" onClick={onClose}>
              Done
            </Button>
          )}
          <Button onClick={onAnother}>Another picture</Button>
          {!done && <Button onClick={onClose}>Put it away</Button>}
        </div>
      </div>
    </div>
  );
}

/** Patches that are left out unless a person keeps them, each with why. */
function DoubtfulPatches({
  doubtful,
  codeOf,
  chosen,
  onChosen,
}: {
  doubtful: readonly (CardReading & { i: number })[];
  codeOf(row: number): string;
  chosen: ReadonlySet<number>;
  onChosen(chosen: ReadonlySet<number>): void;
}) {
  if (doubtful.length === 0) return null;
  const toggle = (i: number) => {
    const next = new Set(chosen);
    if (!next.delete(i)) next.add(i);
    onChosen(next);
  };
  return (
    <div>
      <p className="text-[0.95rem] text-soft">
        Left out unless you keep them; lay them again and photograph the card once more.
      </p>
      <ul className="mt-1 grid max-h-64 gap-1 overflow-y-auto" aria-label="Doubtful patches">
        {doubtful.map((reading) => (
          <li key={reading.i} className="hatched-edge flex items-center gap-3 bg-leaf p-1.5 pl-3">
            <span className="h-6 w-9 shrink-0" style={{ background: hexOfLab(reading.lab) }} aria-hidden />
            <span className="flex-1 text-[0.95rem]">
              <strong className="font-figure">{codeOf(reading.row)}</strong> {patchWords(reading, codeOf)}:{' '}
              {reading.doubt}
            </span>
            <label className="flex min-h-8 items-center gap-1.5 text-[0.9rem]">
              <input
                type="checkbox"
                className="h-4 w-4 accent-neutral-800"
                checked={chosen.has(reading.i)}
                onChange={() => toggle(reading.i)}
              />
              keep
            </label>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What fitting came to for the pencils of the card, and which of their patches are worth doing again. */
function WhatCame({
  fit,
  rows,
  pencils,
}: {
  fit: NewTrayFit;
  rows: readonly (Pencil | undefined)[];
  pencils: readonly Pencil[];
}) {
  const onCard = new Set(rows.flatMap((pencil) => pencil?.id ?? []));
  const own = fit.pencils.filter(({ pencilId }) => onCard.has(pencilId));
  const apart = own.map(({ fit: { apart: off } }) => off).sort((a, b) => a - b);
  const again = own.flatMap(({ pencilId, fit: { doubtful } }) =>
    doubtful.map(({ patch, on }) => {
      const code = pencils.find(({ id }) => id === pencilId)?.code;
      return `${code} ${patch}${on === 'bar' ? ' over dark' : ''}`;
    }),
  );
  return (
    <div role="status" className="grid gap-1">
      <p>
        {own.length} pencils of this card are fitted; model and patches lie{' '}
        <strong>{(apart[apart.length >> 1] ?? 0).toFixed(1)}</strong> apart for most. Every stage foretells with that
        from now on.
      </p>
      {again.length > 0 && <p className="text-[0.95rem]">Worth laying again: {again.join(', ')}.</p>}
    </div>
  );
}

/** What was read, in the middle of each patch; doubtful ones are crossed. */
function PatchesOver({ read }: { read: readonly CardReading[] }) {
  return (
    <svg viewBox={`0 0 ${CARD_MM.width} ${CARD_MM.height}`} className="absolute inset-0 h-full w-full" aria-hidden>
      {read.map(({ box: { x, y, width, height }, lab, doubt }, i) => (
        <g key={i}>
          <rect
            x={x + width / 2 - 1.8}
            y={y + height / 2 - 1.8}
            width={3.6}
            height={3.6}
            fill={hexOfLab(lab)}
            stroke="white"
            strokeWidth={0.4}
          />
          {doubt && (
            <path
              d={`M${x} ${y}l${width} ${height}m0 ${-height}l${-width} ${height}`}
              stroke="black"
              strokeWidth={0.9}
              fill="none"
            />
          )}
        </g>
      ))}
    </svg>
  );
}
