import { X } from 'lucide-react';
import { useMemo } from 'react';
import { PatchKind, type Pencil, type Swatch, type TrayFit } from '../../contracts/index.ts';
import { deltaE2000, hexOfLab, labOfHex } from '../../core/colour/index.ts';
import { paperById, pencilTypeById } from '../../core/laydown/index.ts';
import { useFitsQuery, usePencilsQuery, useSwatchesQuery, useWearQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePaper } from '../api/use-paper.ts';
import { Laydown, Notice, Why } from '../parts/index.ts';
import { ChangePencil } from './change-pencil.tsx';
import { lengthWords } from './shopping.tsx';
import { ReadPatch } from './read-patch.tsx';
import { intoView } from './into-view.ts';
import { hardnessWords } from './pencil-words.ts';
import { predictedPatch } from './predicted-patch.ts';
import { WhatComesNear } from './what-comes-near.tsx';

const PATCH_WORDS = {
  light: 'light',
  medium: 'medium',
  firm: 'firm',
  full: 'firm, firm, burnish',
  'light-twice': 'light, twice',
  'light-four': 'light, four times',
  'light-eight': 'light, eight times',
} as const;

/** What is known of one pencil: how it looks, how worn it is, and what instruments have read of it. */
export function PencilFacts({ pencil, paper, onClose }: { pencil: Pencil; paper: string; onClose(): void }) {
  const { data: pencils = [] } = usePencilsQuery(pencil.trayId);
  const use = usePaper(pencil.trayId, paper);
  const { code, name, ownName, set, barrel, note } = pencil;
  return (
    <section ref={intoView} aria-label={`About ${code}`} className="scroll-mt-3 border-b border-rule pb-4">
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-xl">
          <span className="font-figure">{code}</span> {ownName ? `“${ownName}”` : name || 'no name'}
        </h2>
        <button
          type="button"
          aria-label={`Put ${code} back`}
          className="flex h-10 w-10 items-center justify-center hover:bg-leaf"
          onClick={onClose}
        >
          <X size={18} />
        </button>
      </div>
      <p className="text-[0.95rem] text-soft">
        {[ownName && name, set, pencilTypeById(pencil.type).name].filter(Boolean).join(', ')}
      </p>
      <Laydown pencil={pencil} paperModel={use} width={320} height={56} className="mt-2 max-w-full" />
      {(note || barrel) && (
        <div className="mt-2">
          <Notice>
            {barrel && (
              <span
                className="mr-2 inline-block h-3.5 w-8 align-middle"
                style={{ background: barrel }}
                title="Colour of the barrel"
              />
            )}
            {note}
          </Notice>
        </div>
      )}
      <dl className="mt-3 grid grid-cols-3 gap-2">
        <Fact name="lead" value={hardnessWords(pencil.hardness) || 'not known'} />
        <Fact
          name="a point lasts"
          value={pencil.pointMinutes === null ? 'not known' : `about ${pencil.pointMinutes} min`}
        />
        <Fact name="lead left" value={pencil.leadMm === null ? 'not known' : `${pencil.leadMm} mm`} />
      </dl>
      <Planned pencil={pencil} />
      <ChangePencil pencil={pencil} />
      <Measured pencil={pencil} paper={paper} />
      <ReadPatch pencil={pencil} paper={paper} />
      <WhatComesNear target={null} of={pencil} pencils={pencils} paper={paper} />
    </section>
  );
}

/** What the sheets planned still take of it. */
function Planned({ pencil }: { pencil: Pencil }) {
  const { data: wear = [] } = useWearQuery(pencil.trayId);
  const own = wear.find(({ pencilId }) => pencilId === pencil.id);
  if (!own) return null;
  const points = Math.max(1, Math.round(own.points));
  return (
    <p className="mt-2 text-[0.95rem]">
      What is planned {lengthWords(pencil, own.lengthMm)}, sharpened about {points === 1 ? 'once' : `${points} times`}:{' '}
      {own.sheets.join(', ')}.{pencil.leadMm !== null && pencil.leadMm < own.lengthMm && ' It will not last.'}
    </p>
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="text-[0.95rem] font-semibold">{value}</dd>
    </div>
  );
}

/** Each patch that was read beside what the layer model says of it. */
function Measured({ pencil, paper }: { pencil: Pencil; paper: string }) {
  const { data: swatches, error } = useSwatchesQuery({ trayId: pencil.trayId, pencilId: pencil.id });
  const { data: fits = [] } = useFitsQuery(pencil.trayId);
  const onThis = useMemo(
    () => (swatches ?? []).filter((swatch) => swatch.paper === paper && !swatch.over),
    [swatches, paper],
  );
  const fit = fits.find((each) => each.paper === paper);
  const others = [...new Set((swatches ?? []).map((swatch) => swatch.paper))].filter((id) => id !== paper);
  if (error) return <Notice kind="refused">{sentenceOf(error)}</Notice>;
  if (!swatches) return <p className="mt-3 text-soft">looking for its swatches …</p>;
  return (
    <div className="mt-4">
      <h3 className="text-[1.02rem]">Measured swatches</h3>
      {onThis.length > 0 ? (
        <SwatchTable pencil={pencil} swatches={onThis} fit={fit} />
      ) : (
        <p className="text-[0.95rem] text-soft">
          None on {paperById(paper).name} yet, so its colours here are declared, not measured.
        </p>
      )}
      {others.length > 0 && (
        <p className="mt-1 text-[0.95rem] text-soft">
          Also measured on {others.map((id) => paperById(id).name).join(' and ')}.
        </p>
      )}
    </div>
  );
}

const ALL_PATCHES = PatchKind.options;

/** From light to full, then light over itself, then over the black bar. */
function placeOf({ patch, ground }: Swatch): number {
  return ALL_PATCHES.indexOf(patch) + (ground === 'bar' ? ALL_PATCHES.length : 0);
}

function SwatchTable(props: { pencil: Pencil; swatches: readonly Swatch[]; fit: TrayFit | undefined }) {
  const { pencil, swatches, fit } = props;
  const isFitted = fit?.pencils.some(({ pencilId }) => pencilId === pencil.id) ?? false;
  const inTurn = [...swatches].sort((p, q) => placeOf(p) - placeOf(q));
  const rows = inTurn.map((swatch) => {
    const predicted = predictedPatch(pencil, swatch, fit);
    return { ...swatch, predicted, differs: deltaE2000(swatch.lab, predicted) };
  });
  const mean = rows.reduce((sum, row) => sum + row.differs, 0) / rows.length;
  return (
    <>
      <table className="mt-1 w-full text-left text-[0.92rem]">
        <thead>
          <tr className="border-b border-ink">
            {['patch', 'read', 'predicted', 'apart'].map((name) => (
              <th key={name} scope="col" className="py-1 pr-2 font-semibold">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, patch, ground, lab, predicted, differs, origin }) => (
            <tr key={id} className="border-b border-rule">
              <td className="py-1 pr-2">
                {PATCH_WORDS[patch]}
                {ground === 'bar' && ' over black'}
                {origin === 'own' && <span className="block text-sm text-soft">read by you</span>}
              </td>
              {[lab, predicted].map((colour, i) => (
                <td key={i} className="py-1 pr-2">
                  <span
                    className="block h-7 w-14"
                    style={{ background: hexOfLab(colour) }}
                    title={`L* ${colour[0].toFixed(0)}, a* ${colour[1].toFixed(0)}, b* ${colour[2].toFixed(0)}`}
                  />
                </td>
              ))}
              <td className="py-1 font-figure">{differs.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.95rem]">
        {isFitted ? 'Fitted' : swatches.length === 1 ? 'Read once' : 'Declared'}: reading and prediction lie{' '}
        {mean.toFixed(1)} apart on average.{' '}
        <Why of="how far apart">
          CIEDE2000 between the colour that was read and the layer model’s for a pencil of this type{' '}
          {isFitted
            ? 'as it was fitted to these swatches, in the hand that laid them'
            : `with the declared colour ${pencil.colour} (L* ${labOfHex(pencil.colour)[0].toFixed(0)}), read but not fitted yet`}
          . About 1 is just to be seen.
        </Why>
      </p>
    </>
  );
}
