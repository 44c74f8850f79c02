import { placeAt, wordsFor } from '../../core/colour/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { BELIEF_WORDS, Laydown } from '../parts/index.ts';

/** The pencil pointed at on the wheel, or how to read the wheel. */
export function PointedPencil({
  pencilId,
  rings,
  ofPage,
}: {
  pencilId: string | null;
  rings: boolean;
  ofPage: boolean;
}) {
  const { pencilById, laid, paperModel } = useDesk();
  const pencil = pencilById.get(pencilId ?? '');
  const on = laid.get(pencilId ?? '');
  if (!pencil || !on) {
    return (
      <div className="text-[0.95rem] text-soft max-xl:hidden">
        <p>
          {ofPage
            ? 'Each mark is a thing of the page in its colour, the larger the more of the area it has: '
            : 'Each mark is a pencil of the tray where it really falls on this paper: '}
          {rings
            ? 'inside to outside tints, full colours, tones and shades.'
            : 'round the wheel by hue, outwards by chroma.'}
          {!ofPage && ' Large marks are in the palette.'}
        </p>
        <p className="mt-2">Turn the hands by the ring at the end, by the arrow keys, or by clicking a pencil.</p>
      </div>
    );
  }
  const belief = paperModel.beliefIn(pencil);
  return (
    <div className="max-xl:hidden">
      <Laydown pencil={pencil} paperModel={paperModel} width={240} height={76} />
      <p className="mt-2 flex items-baseline gap-3">
        <span className="font-figure text-2xl font-bold">{pencil.code}</span>
        <span>{pencil.ownName || pencil.name}</span>
      </p>
      <p className="text-[0.95rem] text-soft">
        {wordsFor(on.body)}, L* {on.body[0].toFixed(0)}, nearest {placeAt(on.wheelAngle).name}. From{' '}
        {pencil.set || 'no set'}; {BELIEF_WORDS[belief.ground]}, about ±{belief.apart.toFixed(1)}.
      </p>
    </div>
  );
}
