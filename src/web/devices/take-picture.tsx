import { useEffect, useRef, useState } from 'react';
import { DPIS, type Quality, type ScanRequest } from '../../contracts/index.ts';
import { useSubjectsQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { CardOver, Button, Notice, Select, Progress } from '../parts/index.ts';
import { QualityPanel } from './quality-panel.tsx';
import { takePicture } from './take.ts';

const WORDS = {
  scanner: {
    title: 'Simulated scanner',
    says: 'No scanner is plugged in. This one lays a page of the booklet on an invented glass; what comes back is a file like any scan of your own.',
    lies: 'On the glass',
    verb: 'Scan it',
    again: 'Scan it again',
  },
  camera: {
    title: 'Simulated camera',
    says: 'No camera is plugged in. This one photographs what lies on an invented table; what comes back is a file like any photo of your own.',
    lies: 'On the table',
    verb: 'Photograph it',
    again: 'Photograph it again',
  },
} as const;

type Taking =
  { state: 'idle' } | { state: 'working'; share: number; doing: string } | { state: 'refused'; sentence: string };

/** Takes a picture with the scanner or the camera, shows it, and hands it on as a file. */
export default function TakePicture({
  kind,
  does = 'Bring it in as a page',
  onFile,
  onClose,
}: {
  kind: 'scanner' | 'camera';
  /** What is done with the picture. */
  does?: string;
  onFile(file: File): void;
  onClose(): void;
}) {
  const words = WORDS[kind];
  const { data: subjects, error } = useSubjectsQuery(kind);
  const [chosen, setChosen] = useState<string | null>(null);
  const [dpi, setDpi] = useState<ScanRequest['dpi']>(200);
  const [quality, setQuality] = useState<Quality>('good');
  const [seed, setSeed] = useState(1);
  const [taking, setTaking] = useState<Taking>({ state: 'idle' });
  const [picture, setPicture] = useState<{ file: File; url: string } | null>(null);
  const abort = useRef<AbortController | null>(null);
  useEffect(() => () => abort.current?.abort(), []);
  useEffect(() => () => URL.revokeObjectURL(picture?.url ?? ''), [picture]);
  const subject = chosen ?? subjects?.[0]?.id;

  const take = async () => {
    if (!subject) return;
    const mine = (abort.current = new AbortController());
    setPicture(null);
    setTaking({ state: 'working', share: 0, doing: 'switching on' });
    try {
      const [device, request] =
        kind === 'scanner'
          ? (['scanner/scan', { subject, quality, seed, dpi }] as const)
          : (['camera/shoot', { subject, quality, seed }] as const);
      const file = await takePicture(
        device,
        request,
        (share, doing) => setTaking({ state: 'working', share, doing }),
        mine.signal,
      );
      setPicture({ file, url: URL.createObjectURL(file) });
      setTaking({ state: 'idle' });
    } catch (failure) {
      setTaking(mine.signal.aborted ? { state: 'idle' } : { state: 'refused', sentence: (failure as Error).message });
    }
  };

  return (
    <CardOver title={words.title} width="middling" onClose={onClose}>
      <p className="mt-1 max-w-2xl text-[0.95rem] text-soft">{words.says}</p>
      <div className="mt-4 grid gap-6 md:grid-cols-[20rem_1fr]">
        <div className="flex flex-col gap-3">
          {error && <Notice kind="refused">{sentenceOf(error)}</Notice>}
          {subjects?.length === 0 && <Notice>Nothing lies there. Put the demo back in Settings.</Notice>}
          {subjects && subject && (
            <Select
              label={words.lies}
              value={subject}
              options={subjects.map(({ id, title, says }) => ({ value: id, label: title, says }))}
              onChange={setChosen}
            />
          )}
          {kind === 'scanner' && (
            <Select
              label="Resolution"
              value={String(dpi)}
              options={DPIS.map((each) => ({ value: String(each), label: `${each} dpi` }))}
              onChange={(value) => setDpi(Number(value) as ScanRequest['dpi'])}
            />
          )}
          <QualityPanel quality={quality} seed={seed} onQuality={setQuality} onSeed={setSeed} />
          {taking.state === 'refused' && (
            <Notice kind="refused" title="No picture was taken.">
              {taking.sentence}
            </Notice>
          )}
          {taking.state === 'working' ? (
            <Progress share={taking.share} doing={`${taking.doing} …`} onCancel={() => abort.current?.abort()} />
          ) : (
            <Button look={picture ? 'plain' : 'strong'} disabled={!subject} onClick={() => void take()}>
              {picture ? words.again : words.verb}
            </Button>
          )}
        </div>
        <div className="flex min-h-72 flex-col items-center justify-center bg-ground p-3">
          {picture ? (
            <img
              src={picture.url}
              alt={`What came back: ${picture.file.name}`}
              className="max-h-96 max-w-full shadow-md"
            />
          ) : (
            <p className="text-center text-ink">The picture will lie here.</p>
          )}
        </div>
      </div>
      <div className="mt-5 flex items-center justify-end gap-3">
        {picture && <p className="mr-auto text-[0.95rem] text-soft">{sizeOf(picture.file)} JPEG, simulated</p>}
        <Button onClick={onClose}>Put it away</Button>
        <Button look="strong" disabled={!picture} onClick={() => picture && onFile(picture.file)}>
          {does}
        </Button>
      </div>
    </CardOver>
  );
}

function sizeOf({ size }: File): string {
  return size > 1e6 ? `${(size / 1e6).toFixed(1)} MB` : `${Math.round(size / 1000)} kB`;
}
