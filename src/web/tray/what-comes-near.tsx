import { useState } from 'react';
import { type Pencil, isHere } from '../../contracts/index.ts';
import { type Lab, hexOfLab } from '../../core/colour/index.ts';
import { type Pressure, PRESSURES } from '../../core/laydown/index.ts';
import { closenessOf } from '../../core/tray/index.ts';
import { usePaper } from '../api/use-paper.ts';
import { Choice, Select } from '../parts/index.ts';
import { type OutputOf, type PencilJobs, pencilJobs, useAnswer } from '../workers/index.ts';

type Found = OutputOf<PencilJobs['near']>;

/** So many pencils and layerings are told of. */
const LIMIT = 4;
const HERE = 'pencils that are here';

/** Pencils, and layerings of two or three, that come nearest to a colour on this paper. */
export function WhatComesNear({
  target,
  of,
  without,
  pencils,
  paper,
}: {
  /** The colour looked for, or null for what `of` gives at the pressure chosen. */
  target: Lab | null;
  of: Pencil | null;
  /** A set that need not be looked in. */
  without?: string;
  pencils: readonly Pencil[];
  paper: string;
}) {
  const [pressure, setPressure] = useState<Pressure | 'any'>(target ? 'any' : 'medium');
  const [among, setAmong] = useState(HERE);
  const use = usePaper(of?.trayId ?? pencils[0]?.trayId ?? '', paper);
  const sets = [...new Set(pencils.map(({ set }) => set))].filter((set) => set && set !== without);
  const at = pressure === 'any' ? 'medium' : pressure;
  const wanted = use !== null && (target ?? of) !== null;
  const askLaid = () => pencilJobs.start('laidAt', { pencil: use!.trayPencil(of!), paper: use!.paper, pressure: at });
  const laid = useAnswer(wanted && !target ? [askLaid] : [], [of, use?.paper, use?.fit?.at, at], { fresh: true });
  const colour = target ?? laid.value;
  const some = pencils
    .filter((pencil) => pencil.id !== of?.id)
    .filter((pencil) => (among === HERE ? isHere(pencil) : pencil.set === among));
  const askNear = () =>
    pencilJobs.start('near', {
      target: colour!,
      of: of && use!.trayPencil(of),
      pencils: some.map((pencil) => use!.trayPencil(pencil)),
      paper: use!.paper,
      pressure,
      limit: LIMIT,
    });
  const near = useAnswer(wanted && colour ? [askNear] : [], [colour, of?.id, pressure, some, use?.paper, use?.fit?.at]);
  const found = near.value && colour ? { near: near.value, target: colour } : null;
  const codeOf = (id: string) => pencils.find((pencil) => pencil.id === id);
  const name = (id: string) => {
    const pencil = codeOf(id);
    return pencil ? `${pencil.code} ${pencil.ownName || pencil.name}`.trim() : id;
  };
  // How sure the colours found are, and whether any lies nearer than that.
  const sureOf = (singles: Found['singles']) =>
    Math.max(...singles.map(({ id }) => (codeOf(id) && use ? use.beliefIn(codeOf(id)!).apart : 0)));
  const finer = (singles: Found['singles']) => singles.some(({ deltaE }) => deltaE < sureOf(singles));
  return (
    <section aria-label="What comes near" className="mt-4">
      <h3 className="mb-1.5 text-[1.02rem]">What comes near</h3>
      <Select
        label="Among"
        value={among}
        options={[{ value: HERE, label: HERE }, ...sets.map((set) => ({ value: set, label: set }))]}
        onChange={setAmong}
      />
      <div className="mt-1.5">
        <Choice<Pressure | 'any'>
          label="At which pressure"
          value={pressure}
          options={(target ? ['any' as const, ...PRESSURES.slice(1)] : PRESSURES.slice(1)).map((value) => ({
            value,
            label: value,
          }))}
          onChange={setPressure}
        />
      </div>
      {!found && <p className="mt-2 text-soft">looking …</p>}
      {found && found.near.singles.length === 0 && (
        <p className="mt-2 text-soft">There is no other pencil to look at.</p>
      )}
      {found && (
        <ul className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-1.5" aria-busy={!near.isNewest}>
          {found.near.singles.map(({ id, lab, deltaE, differs, pressure: at }) => (
            <Match
              key={id}
              from={found.target}
              lab={lab}
              deltaE={deltaE}
              title={pressure === 'any' ? `${name(id)}, ${at}` : name(id)}
              says={differs || (deltaE < 1.5 ? 'no difference to be seen' : 'differs a little in hue and value alike')}
            />
          ))}
        </ul>
      )}
      {found && use && finer(found.near.singles) && (
        <p className="mt-1.5 text-[0.9rem] text-soft">
          Differences below about {sureOf(found.near.singles).toFixed(0)} are finer than these colours are known.
        </p>
      )}
      {found && found.near.layerings.length > 0 && (
        <>
          <h4 className="mt-3 mb-1 text-[0.95rem] text-soft">Nearer still, laid over each other</h4>
          <ul className="grid grid-cols-[minmax(0,1fr)] gap-1.5">
            {found.near.layerings.map(({ layers, lab, deltaE, toothLeft }) => (
              <Match
                key={layers.map(({ id }) => id).join(' ')}
                from={found.target}
                lab={lab}
                deltaE={deltaE}
                title={layers.map(({ id, pressure: at }) => `${codeOf(id)?.code ?? id} ${at}`).join(', then ')}
                says={`${Math.round(100 * toothLeft)}% of the tooth left`}
              />
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** The colour looked for beside one that comes near it, and how near. */
function Match(props: { from: Lab; lab: Lab; deltaE: number; title: string; says: string }) {
  const { from, lab, deltaE, title, says } = props;
  return (
    <li className="flex items-center gap-2.5 bg-leaf p-1.5">
      <span className="flex shrink-0" aria-hidden>
        <span className="h-9 w-6" style={{ background: hexOfLab(from) }} />
        <span className="h-9 w-8" style={{ background: hexOfLab(lab) }} />
      </span>
      <span className="min-w-0 flex-1 text-[0.92rem] leading-tight">
        <span className="block font-semibold">{title}</span>
        <span className="text-soft">{says}</span>
      </span>
      <span className="w-18 shrink-0 text-right text-[0.85rem] leading-tight">
        <span className="block font-figure">{deltaE.toFixed(1)}</span>
        <span className="text-soft">{closenessOf(deltaE)}</span>
      </span>
    </li>
  );
}
