import { Camera } from 'lucide-react';
import { type KeyboardEvent, useEffect, useState } from 'react';
import { type Lab, hexOfLab, wordsFor } from '../../core/colour/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type Place, type Sample } from '../../core/tray/index.ts';
import { TakePicture } from '../devices/index.ts';
import { CardOver, Button, ChooseFile, Notice, Progress } from '../parts/index.ts';
import { photoJobs, useJob } from '../workers/index.ts';

/** How far a key moves a mark, as a share of the picture. */
const STEP = 0.01;
const MOVES: Record<string, Place> = {
  ArrowLeft: { x: -STEP, y: 0 },
  ArrowRight: { x: STEP, y: 0 },
  ArrowUp: { x: 0, y: -STEP },
  ArrowDown: { x: 0, y: STEP },
};
/** A sample whose parts lie farther apart than this, CIEDE2000, is worth taking again. */
const UNEVEN = 4.5;

interface Props {
  title: string;
  paper: string;
  onColour(lab: Lab): void;
  onClose(): void;
}

/** Takes a colour out of a photo: bare paper is pointed at, then the colour, which is read as it is in daylight. */
export function SampleColour({ title, paper, onColour, onClose }: Props) {
  const [photo, setPhoto] = useState<{ file: Blob; url: string } | null>(null);
  const [camera, setCamera] = useState(false);
  const open = (file: Blob) => {
    setCamera(false);
    setPhoto({ file, url: URL.createObjectURL(file) });
  };
  useEffect(() => () => URL.revokeObjectURL(photo?.url ?? ''), [photo]);
  return (
    <CardOver title={title} width="middling" onClose={onClose}>
      {photo ? (
        <Pointing key={photo.url} photo={photo} paper={paper} onColour={onColour} onClose={onClose} />
      ) : (
        <div className="mt-3 grid max-w-md gap-3">
          <p className="text-[0.95rem] text-soft">
            A photo or scan with bare paper beside the colour. The paper is taken for {paperById(paper).name}, so the
            lamp does not matter.
          </p>
          <ChooseFile label="A picture with the colour" accept="image/*" onFile={open} />
          <Button onClick={() => setCamera(true)}>
            <Camera size={16} /> Photograph it
          </Button>
          <TypedColour onColour={onColour} />
          <Button className="justify-self-end" onClick={onClose}>
            Put it away
          </Button>
        </div>
      )}

      {camera && (
        <TakePicture kind="camera" does="Take a colour from it" onFile={open} onClose={() => setCamera(false)} />
      )}
    </CardOver>
  );
}

/** The picture with the two marks, moved by pointer or keys, and the colour between them. */
function Pointing({ photo, paper, onColour, onClose }: { photo: { file: Blob; url: string } } & Omit<Props, 'title'>) {
  const [marks, setMarks] = useState<{ bare: Place; place: Place }>({
    bare: { x: 0.2, y: 0.2 },
    place: { x: 0.5, y: 0.5 },
  });
  const [moving, setMoving] = useState<'bare' | 'place'>('bare');
  const { now, start, cancel } = useJob<Sample>('reading the colour');
  const { file } = photo;
  const { bare, place } = marks;
  useEffect(() => {
    void start((report) => photoJobs.start('sample', { picture: file, place, bare, paper }, { report }));
  }, [start, file, place, bare, paper]);
  const move = (to: Place) => {
    const within = (value: number) => Math.min(0.999, Math.max(0, value));
    setMarks({ ...marks, [moving]: { x: within(to.x), y: within(to.y) } });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = MOVES[event.key];
    if (!step) return;
    event.preventDefault();
    move({ x: marks[moving].x + step.x, y: marks[moving].y + step.y });
  };
  const sample = now.state === 'done' ? now.value : null;
  return (
    <div className="mt-3 grid gap-6 md:grid-cols-[1fr_17rem]">
      <div
        className="relative cursor-crosshair self-start bg-ground"
        tabIndex={0}
        role="application"
        aria-label={`The picture; arrow keys move the mark on ${moving === 'bare' ? 'bare paper' : 'the colour'}`}
        onKeyDown={onKeyDown}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          move({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
          if (moving === 'bare') setMoving('place');
        }}
      >
        <img src={photo.url} alt="" className="block max-h-[28rem] w-full object-fill" draggable={false} />
        {(['bare', 'place'] as const).map((mark) => (
          <span
            key={mark}
            aria-hidden
            className={`pointer-events-none absolute h-5 w-5 -translate-x-1/2 -translate-y-1/2 border-2 outline outline-white ${mark === 'bare' ? 'border-dashed' : ''} border-black`}
            style={{ left: `${100 * marks[mark].x}%`, top: `${100 * marks[mark].y}%` }}
          />
        ))}
      </div>
      <div className="grid content-start gap-3">
        <fieldset className="grid gap-1">
          <legend className="text-[0.95rem] text-soft">Point at</legend>
          {(
            [
              ['bare', 'bare paper (dashed)'],
              ['place', 'the colour'],
            ] as const
          ).map(([value, words]) => (
            <label key={value} className="flex min-h-9 items-center gap-2">
              <input
                type="radio"
                name="mark"
                className="h-4 w-4 accent-neutral-800"
                checked={moving === value}
                onChange={() => setMoving(value)}
              />
              {words}
            </label>
          ))}
        </fieldset>
        {now.state === 'working' && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
        {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
        {sample && (
          <div role="status" className="flex items-center gap-3">
            <span
              className="h-14 w-20 shrink-0 border border-rule"
              style={{ background: hexOfLab(sample.lab) }}
              aria-hidden
            />
            <span>
              {wordsFor(sample.lab)}
              <span className="block font-figure text-[0.9rem] text-soft">
                L* {sample.lab[0].toFixed(0)} a* {sample.lab[1].toFixed(0)} b* {sample.lab[2].toFixed(0)}
              </span>
            </span>
          </div>
        )}
        {sample && sample.spread > UNEVEN && (
          <Notice>What lies under the mark is uneven. Point at the middle of an even place.</Notice>
        )}
        <Button look="strong" disabled={!sample} onClick={() => sample && onColour(sample.lab)}>
          Take this colour
        </Button>
        <Button onClick={onClose}>Put it away</Button>
      </div>
    </div>
  );
}

/** A colour as an instrument gave it. */
function TypedColour({ onColour }: { onColour(lab: Lab): void }) {
  const [text, setText] = useState('');
  const lab = labIn(text);
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (lab) onColour(lab);
      }}
    >
      <label className="flex-1 text-[0.95rem]">
        <span className="text-soft">Or type L* a* b* from an instrument</span>
        <input
          value={text}
          placeholder="62 18 -9"
          className="h-10 w-full border border-edge bg-leaf px-3 font-figure"
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <Button type="submit" disabled={!lab}>
        Take it
      </Button>
    </form>
  );
}

/** Three numbers that are a colour, or null. */
function labIn(text: string): Lab | null {
  const numbers = text
    .trim()
    .split(/[\s;]+/)
    .map(Number);
  const [l = NaN, a = NaN, b = NaN] = numbers;
  const fits = numbers.length === 3 && l >= 0 && l <= 100 && Math.abs(a) <= 128 && Math.abs(b) <= 128;
  return fits ? [l, a, b] : null;
}
