import { useState } from 'react';
import { hexOfLab, oklchOfLab } from '../../core/colour/index.ts';
import { type PhotoColour } from '../../core/palette/index.ts';
import { TakePicture } from '../devices/index.ts';
import { Button, CardOver, ChooseFile, Notice } from '../parts/index.ts';
import { pencilJobs } from '../workers/index.ts';

/** So many colours are drawn out of a photo. */
const COLOURS = 6;
/** A photo is looked at no larger than this, pixels. */
const SIDE = 320;

/** Draws the colours of a photo out, to be taken as the hands of the wheel. */
export function PhotoColours({
  name,
  onTake,
  onClose,
}: {
  name(colour: PhotoColour): string;
  onTake(colours: readonly PhotoColour[]): void;
  onClose(): void;
}) {
  const [camera, setCamera] = useState(false);
  const [found, setFound] = useState<readonly PhotoColour[] | null>(null);
  const [fault, setFault] = useState('');
  const open = async (file: Blob) => {
    setCamera(false);
    setFault('');
    setFound(null);
    try {
      const { outcome: found } = pencilJobs.start('photoColours', { photo: await pixelsOf(file), count: COLOURS });
      const outcome = await found;
      if (outcome.kind === 'done') setFound(outcome.value);
      if (outcome.kind === 'refused') setFault(outcome.sentence);
    } catch {
      setFault('This file cannot be read as a picture. Take a JPEG or PNG.');
    }
  };
  const hued = (found ?? []).filter(({ lab }) => oklchOfLab(lab).c >= 0.035);
  return (
    <CardOver title="Colours from a photo" width="middling" onClose={onClose}>
      <div className="mt-3 grid gap-3">
        <p className="text-[0.95rem] text-soft">
          A sky, a bird, a shelf of yarn: its main colours become the hands of a free scheme. The photo stays on this
          machine.
        </p>
        <div className="flex gap-2">
          <ChooseFile label="A photo" accept="image/*" onFile={(file) => void open(file)} />
          <Button className="shrink-0" onClick={() => setCamera(true)}>
            Photograph it
          </Button>
        </div>
        {fault && <Notice kind="refused">{fault}</Notice>}
        {found && (
          <>
            <ul aria-label="Colours of the photo" className="grid gap-px">
              {found.map((colour) => (
                <li key={hexOfLab(colour.lab)} className="flex items-center gap-3">
                  <span
                    aria-hidden
                    className="h-8"
                    style={{ width: `${Math.max(6, 260 * colour.share)}px`, background: hexOfLab(colour.lab) }}
                  />
                  <span className="text-[0.95rem]">{name(colour)}</span>
                </li>
              ))}
            </ul>
            {hued.length === 0 && <Notice>Nothing in this photo has enough hue to give a hand.</Notice>}
          </>
        )}
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Put it away</Button>
          <Button look="strong" disabled={hued.length === 0} onClick={() => found && onTake(found)}>
            Take them as hands
          </Button>
        </div>
      </div>
      {camera && (
        <TakePicture
          kind="camera"
          does="Draw its colours out"
          onFile={(file) => void open(file)}
          onClose={() => setCamera(false)}
        />
      )}
    </CardOver>
  );
}

/** The pixels of a picture file, made small. */
async function pixelsOf(file: Blob): Promise<ImageData> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height));
  const scaled = (side: number) => Math.max(1, Math.round(side * scale));
  const [width, height] = [scaled(bitmap.width), scaled(bitmap.height)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d')!;
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height);
}
