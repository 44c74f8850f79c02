import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { type MeterAnswer, type MeterRequest, type Pencil, type Quality } from '../../contracts/index.ts';
import { hexOfLab } from '../../core/colour/index.ts';
import { SINGLE_PATCHES } from '../../core/laydown/index.ts';
import { useAddSwatchMutation, useReadMeterMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { QualityPanel } from '../devices/index.ts';
import { Button, Notice, Select } from '../parts/index.ts';
import { useFitOne } from './use-fit-one.ts';

const OVER_BAR = 'firm over black';

/** Reads a patch with the colour meter and keeps the reading with the pencil. */
export function ReadPatch({ pencil, paper }: { pencil: Pencil; paper: string }) {
  const [open, setOpen] = useState(false);
  const [where, setWhere] = useState<string>('medium');
  const [quality, setQuality] = useState<Quality>('good');
  const [seed, setSeed] = useState(1);
  const [answer, setAnswer] = useState<MeterAnswer | null>(null);
  const [read, { isLoading }] = useReadMeterMutation();
  const [add] = useAddSwatchMutation();
  const fitOne = useFitOne(pencil, paper);
  const overBar = where === OVER_BAR;
  const patch = (overBar ? 'firm' : where) as MeterRequest['patch'];
  const ground = overBar ? ('bar' as const) : ('paper' as const);
  const warming = answer?.kind === 'warming up';

  const ask = async (nextSeed: number) => {
    setSeed(nextSeed);
    const { data, error } = await read({
      trayId: pencil.trayId,
      pencilId: pencil.id,
      paper,
      patch,
      ground,
      quality,
      seed: nextSeed,
    });
    if (error) toast.error(sentenceOf(error));
    else setAnswer(data);
  };
  const keep = async () => {
    if (answer?.kind !== 'reading') return;
    const swatch = { id: nanoid(), paper, patch, ground, lab: answer.lab };
    const { error } = await add({ trayId: pencil.trayId, pencilId: pencil.id, swatch });
    if (error) return void toast.error(sentenceOf(error));
    setAnswer(null);
    try {
      const apart = await fitOne();
      const fitted = apart === null ? '' : ` It is fitted anew, ${apart.toFixed(1)} apart.`;
      toast(`The reading is kept with ${pencil.code}.${fitted}`);
    } catch (refused) {
      toast.error(sentenceOf(refused));
    }
  };
  // A meter that warms up is asked again by itself.
  useEffect(() => {
    if (!warming) return;
    const soon = setTimeout(() => void ask(seed), 1000);
    return () => clearTimeout(soon);
    // `ask` stands for the inputs named here.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [answer, warming, seed]);

  if (!open) {
    return (
      <Button className="mt-3 w-full" onClick={() => setOpen(true)}>
        Read a patch with the meter
      </Button>
    );
  }
  return (
    <div className="mt-3 grid gap-2 border border-edge p-3">
      <h3 className="text-[1.02rem]">Simulated colour meter</h3>
      <p className="text-[0.92rem] text-soft">
        No meter is plugged in. This one reads an invented card of {pencil.code}.
      </p>
      <Select
        label="Patch"
        value={where}
        options={[...SINGLE_PATCHES, OVER_BAR].map((value) => ({
          value,
          label: value === 'full' ? 'firm, firm, burnish' : value,
        }))}
        onChange={(value) => {
          setWhere(value);
          setAnswer(null);
        }}
      />
      <QualityPanel quality={quality} seed={seed} onQuality={setQuality} onSeed={setSeed} />
      <div role="status" className="grid gap-2">
        {answer?.kind === 'warming up' && <p>Warming up, about {answer.secondsLeft} s …</p>}
        {answer?.kind === 'bad reading' && <Notice title="That was a bad reading.">{answer.why}</Notice>}
        {answer?.kind === 'reading' && (
          <p className="flex items-center gap-3">
            <span className="block h-10 w-16" style={{ background: hexOfLab(answer.lab) }} />
            <span className="font-figure text-[0.95rem]">
              L* {answer.lab[0].toFixed(1)} a* {answer.lab[1].toFixed(1)} b* {answer.lab[2].toFixed(1)}
              <span className="block text-sm text-soft">three flashes within {answer.spread.toFixed(1)}</span>
            </span>
          </p>
        )}
      </div>
      <div className="flex gap-2">
        <Button
          look={answer?.kind === 'reading' ? 'plain' : 'strong'}
          className="flex-1"
          disabled={isLoading || warming}
          onClick={() => void ask(answer ? seed + 1 : seed)}
        >
          {answer && !warming ? 'Read again' : 'Read'}
        </Button>
        <Button look="strong" className="flex-1" disabled={answer?.kind !== 'reading'} onClick={() => void keep()}>
          Keep it
        </Button>
      </div>
    </div>
  );
}
