import { useState } from 'react';
import { type SegmentationOptions, USUAL_FINDING } from '../../contracts/index.ts';
import { decide } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { pictureUrl } from '../desk/picture-url.ts';
import { Button, PixelCanvas, Section } from '../parts/index.ts';
import { pageJobs, useAnswer } from '../workers/index.ts';
import { partToTry } from './part-to-try.ts';

type Wish = Exclude<keyof SegmentationOptions, 'mends'>;

const WISHES: readonly {
  id: Wish;
  asks: string;
  least: number;
  most: number;
  step: number;
  shown(value: number): string;
}[] = [
  {
    id: 'palestInk',
    asks: 'How pale may a line be?',
    least: 0.1,
    most: 0.95,
    step: 0.05,
    shown: (value) => (Math.abs(value - 0.5) < 0.01 ? 'as the page suggests' : value < 0.5 ? 'darker' : 'paler'),
  },
  {
    id: 'closeGapMm',
    asks: 'How wide a gap is looked at?',
    least: 0,
    most: 2.5,
    step: 0.1,
    shown: (value) => (value === 0 ? 'all stay open' : `up to ${value.toFixed(1)} mm`),
  },
  {
    id: 'minRegionMm2',
    asks: 'How small a region matters?',
    least: 0.1,
    most: 5,
    step: 0.1,
    shown: (value) => `from ${value.toFixed(1)} mm²`,
  },
];

/** How regions are found, in plain words, tried on a part of the page before the whole is found anew. */
export function Wishes({ onLeave }: { onLeave(): void }) {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const { finding } = sheet.plan;
  const [wished, setWished] = useState(finding);
  const same = WISHES.every(({ id }) => wished[id] === finding[id]);
  return (
    <Section title="Find the regions differently" onEscape={onLeave}>
      <Trial wished={wished} />
      <div className="mt-3 grid gap-3">
        {WISHES.map(({ id, asks, least, most, step, shown }) => (
          <label key={id} className="block">
            <span className="flex justify-between gap-3">
              <span>{asks}</span>
              <span className="text-sm text-soft">{shown(wished[id])}</span>
            </span>
            <input
              type="range"
              className="h-8 w-full accent-neutral-700"
              min={least}
              max={most}
              step={step}
              value={wished[id]}
              aria-valuetext={shown(wished[id])}
              onChange={(event) => setWished({ ...wished, [id]: Number(event.target.value) })}
            />
          </label>
        ))}
      </div>
      <div className="mt-4 flex flex-wrap gap-2 border-t border-rule pt-3">
        <Button
          look="strong"
          className="flex-1"
          disabled={same}
          onClick={() => {
            void change('find the regions differently', (plan) =>
              decide(plan, { finding: { ...wished, mends: finding.mends } }),
            );
            onLeave();
          }}
        >
          Find them so
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
        <Button look="bare" onClick={() => setWished({ ...USUAL_FINDING, mends: finding.mends })}>
          As usual
        </Button>
      </div>
    </Section>
  );
}

/** Found regions of a part of the page as the wishes now stand, each in a grey of its own. */
function Trial({ wished }: { wished: SegmentationOptions }) {
  const { sheet, page, pixelsPerMm } = useDesk();
  const picture = pictureUrl(sheet.id, sheet.picture.hash);
  const part = partToTry(sheet.picture, pixelsPerMm, page?.regions ?? []);
  const ask = () => pageJobs.start('tryOut', { picture, part, wishes: { pixelsPerMm, ...wished } });
  const { value: tried, sentence: refused } = useAnswer([ask], [picture, part, pixelsPerMm, wished], {
    abandons: true,
  });
  return (
    <div>
      {tried ? (
        <PixelCanvas
          pixels={tried}
          className="w-full border border-edge"
          label="A part of the page, its regions told apart by greys"
        />
      ) : (
        <div className="border border-edge bg-leaf" style={{ aspectRatio: `${part.width} / ${part.height}` }} />
      )}
      <p className="mt-1 text-[0.95rem]" aria-live="polite">
        {refused ??
          (tried
            ? `Here ${tried.regions} regions${tried.asked ? `, and ${tried.asked} gaps to ask about` : ''}.`
            : 'Trying it on a part of the page …')}
      </p>
    </div>
  );
}
