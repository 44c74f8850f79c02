import { useEffect, useMemo, useRef, useState } from 'react';
import { type PointPx, type Quad, isConvexQuad } from '../../core/straighten/index.ts';
import { FORMATS } from '../sheet/formats.ts';
import { CardOver, Button, Notice, Select, Progress } from '../parts/index.ts';
import { type JobUnderWay, photoJobs } from '../workers/index.ts';
import { straightSize } from './straight-size.ts';
import { type PrintedPage } from './choose-pdf-page.tsx';

/** A photograph with the page found in it. */
export interface Photograph {
  file: File;
  width: number;
  height: number;
  quad: Quad;
}

const CORNERS = ['Top left', 'Top right', 'Bottom right', 'Bottom left'] as const;
/** Size of the photo on the screen, at most, pixels. */
const [WIDE, HIGH] = [560, 500];
const AS_SEEN = 'as-seen';

/** Shows the corners that were found on a photographed page, lets them be set, and takes the perspective out. */
export default function Straighten({
  photo,
  onPage,
  onWhole,
  onClose,
}: {
  photo: Photograph;
  onPage(page: Omit<PrintedPage, 'widthMm' | 'heightMm'> & Partial<PrintedPage>): void;
  /** Takes the photo as it is. */
  onWhole(): void;
  onClose(): void;
}) {
  const [quad, setQuad] = useState<Quad>(photo.quad);
  const [format, setFormat] = useState<string>(AS_SEEN);
  const [active, setActive] = useState<number | null>(null);
  const [working, setWorking] = useState<{ share: number; doing: string } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const job = useRef<JobUnderWay<unknown> | null>(null);
  const url = useMemo(() => URL.createObjectURL(photo.file), [photo.file]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  useEffect(() => () => job.current?.cancel(), []);
  const scale = Math.min(WIDE / photo.width, HIGH / photo.height);
  const fits = isConvexQuad(quad);
  const moveTo = (k: number, { x, y }: PointPx) => {
    const inside = { x: Math.min(photo.width, Math.max(0, x)), y: Math.min(photo.height, Math.max(0, y)) };
    setQuad(quad.map((corner, i) => (i === k ? inside : corner)) as unknown as Quad);
  };
  const straighten = async () => {
    const chosen = FORMATS.find(({ id }) => id === format);
    const { pixels, mm } = straightSize(quad, chosen);
    setFault(null);
    setWorking({ share: 0, doing: 'reading the photo' });
    const report = (share: number, doing: string) => setWorking({ share, doing });
    const started = photoJobs.start('straighten', { photo: photo.file, quad, size: pixels }, { report });
    job.current = started;
    const outcome = await started.outcome;
    setWorking(null);
    if (outcome.kind === 'refused') setFault(outcome.sentence);
    if (outcome.kind === 'done') onPage({ picture: outcome.value, ...mm });
  };
  return (
    <CardOver title="Lay the page straight" width="wide" onClose={onClose}>
      <p className="mt-1 text-[0.95rem] text-soft">
        The corners of the page were found. Move any that is off, by dragging it or with the arrow keys.
      </p>
      <div className="mt-4 flex gap-6">
        <div
          className="relative shrink-0 bg-ground"
          style={{ width: photo.width * scale, height: photo.height * scale }}
        >
          <img src={url} alt="The photograph" className="absolute inset-0 h-full w-full" draggable={false} />
          <svg className="absolute inset-0 h-full w-full" aria-hidden>
            <polygon points={asPoints(quad, scale)} fill="none" stroke="#fff" strokeWidth={5} />
            <polygon points={asPoints(quad, scale)} fill="none" stroke="#000" strokeWidth={2} />
          </svg>
          {quad.map((corner, k) => (
            <Corner
              key={CORNERS[k]}
              name={CORNERS[k]!}
              corner={corner}
              scale={scale}
              onMove={(to) => moveTo(k, to)}
              onActive={(on) => setActive(on ? k : null)}
            />
          ))}
        </div>
        <div className="flex min-w-64 flex-1 flex-col gap-3">
          <Magnifier url={url} photo={photo} at={quad[active ?? 0]!} name={CORNERS[active ?? 0]!} />
          <Select
            label="Shape of the page"
            value={format}
            options={[
              { value: AS_SEEN, label: 'as it looks', says: 'its sides as they are in the photo' },
              ...FORMATS.map(({ id, name, width, height }) => ({
                value: id as string,
                label: `${name}, ${width} × ${height} mm`,
              })),
            ]}
            onChange={setFormat}
          />
          {!fits && <Notice>These corners are not those of a page: they must go round it without a dent.</Notice>}
          {fault && <Notice kind="refused">{fault}</Notice>}
          {working && <Progress {...working} onCancel={() => job.current?.cancel()} />}
          <div className="mt-auto grid gap-2">
            <Button look="strong" disabled={!fits || working !== null} onClick={() => void straighten()}>
              Lay it straight
            </Button>
            <Button disabled={working !== null} onClick={onWhole}>
              Take the whole picture
            </Button>
            <Button look="bare" onClick={onClose}>
              Put it away
            </Button>
          </div>
        </div>
      </div>
    </CardOver>
  );
}

function asPoints(quad: Quad, scale: number): string {
  return quad.map(({ x, y }) => `${x * scale},${y * scale}`).join(' ');
}

const STEPS: Record<string, PointPx> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

function Corner({
  name,
  corner,
  scale,
  onMove,
  onActive,
}: {
  name: string;
  corner: PointPx;
  scale: number;
  onMove(to: PointPx): void;
  onActive(on: boolean): void;
}) {
  return (
    <button
      type="button"
      aria-label={`${name} corner`}
      className="absolute h-10 w-10 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none"
      style={{ left: corner.x * scale, top: corner.y * scale }}
      onFocus={() => onActive(true)}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
      }}
      onPointerMove={(event) => {
        if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
        const holder = event.currentTarget.parentElement!.getBoundingClientRect();
        onMove({ x: (event.clientX - holder.left) / scale, y: (event.clientY - holder.top) / scale });
      }}
      onKeyDown={(event) => {
        const step = STEPS[event.key];
        if (!step) return;
        event.preventDefault();
        const by = event.shiftKey ? 20 : 2;
        onMove({ x: corner.x + by * step.x, y: corner.y + by * step.y });
      }}
    >
      <span className="mx-auto block h-4 w-4 rounded-full border-2 border-black bg-white" />
    </button>
  );
}

const LENS = 200;
const MAGNIFIED = 1.6;

/** The photo around a corner, enlarged, with the corner in the middle. */
function Magnifier({ url, photo, at, name }: { url: string; photo: Photograph; at: PointPx; name: string }) {
  return (
    <figure>
      <div
        className="relative border border-edge bg-ground"
        style={{
          width: LENS,
          height: LENS,
          backgroundImage: `url(${url})`,
          backgroundRepeat: 'no-repeat',
          backgroundSize: `${photo.width * MAGNIFIED}px ${photo.height * MAGNIFIED}px`,
          backgroundPosition: `${LENS / 2 - at.x * MAGNIFIED}px ${LENS / 2 - at.y * MAGNIFIED}px`,
        }}
      >
        <span className="absolute top-1/2 left-0 h-0.5 w-full bg-white mix-blend-difference" aria-hidden />
        <span className="absolute top-0 left-1/2 h-full w-0.5 bg-white mix-blend-difference" aria-hidden />
      </div>
      <figcaption className="mt-1 text-sm text-soft">{name} corner, enlarged</figcaption>
    </figure>
  );
}
