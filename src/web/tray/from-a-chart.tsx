import { Camera } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import Straighten, { type Photograph } from '../shelf/straighten.tsx';
import { TakePicture } from '../devices/index.ts';
import { Button, ChooseFile, Section } from '../parts/index.ts';
import { photoJobs } from '../workers/index.ts';
import { ReadChart } from './read-chart.tsx';

/** Fills a tray from a swatch chart that one has already: a photo or scan, laid straight, read patch by patch. */
export function FromAChart({ trayId, paper }: { trayId: string; paper: string }) {
  const [camera, setCamera] = useState(false);
  const [photo, setPhoto] = useState<Photograph | null>(null);
  const [chart, setChart] = useState<Blob | null>(null);
  const [looking, setLooking] = useState(false);
  const open = async (file: File) => {
    setCamera(false);
    setLooking(true);
    const found = await photoJobs.start('findPage', { photo: file }).outcome;
    setLooking(false);
    if (found.kind === 'refused') return void toast.error(found.sentence);
    if (found.kind !== 'done') return;
    const { width, height, quad } = found.value;
    if (quad) setPhoto({ file, width, height, quad });
    else setChart(file);
  };
  return (
    <Section title="From a swatch chart">
      <p className="mb-2 text-[0.95rem] text-soft">
        A chart that you have already, one patch a pencil: photograph or scan it, paste the codes, and the tray is
        filled. Each colour counts as one reading until a card refines it.
      </p>
      <ChooseFile label="A picture of a swatch chart" accept="image/*" onFile={(file) => void open(file)} />
      <Button className="mt-2 w-full" disabled={looking} onClick={() => setCamera(true)}>
        <Camera size={16} /> {looking ? 'looking for the chart …' : 'Photograph a chart'}
      </Button>
      {camera && (
        <TakePicture
          kind="camera"
          does="Read it as a chart"
          onFile={(file) => void open(file)}
          onClose={() => setCamera(false)}
        />
      )}
      {photo && (
        <Straighten
          photo={photo}
          onPage={({ picture }) => {
            setChart(picture);
            setPhoto(null);
          }}
          onWhole={() => {
            setChart(photo.file);
            setPhoto(null);
          }}
          onClose={() => setPhoto(null)}
        />
      )}
      {chart && <ReadChart trayId={trayId} paper={paper} picture={chart} onClose={() => setChart(null)} />}
    </Section>
  );
}
