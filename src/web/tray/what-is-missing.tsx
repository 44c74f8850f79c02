import { type Pencil, type PencilWear, isHere } from '../../contracts/index.ts';
import { WHEEL_PLACES } from '../../core/colour/index.ts';
import { useTraysQuery, usePencilsQuery, useWearQuery } from '../api/desk-api.ts';
import { usePaper } from '../api/use-paper.ts';
import { Section, Why } from '../parts/index.ts';
import { pencilJobs, useAnswer } from '../workers/index.ts';

const NONE: readonly Pencil[] = [];

/** Holes of a tray on the wheel and in value, near-duplicates, and which pencil of another tray would help most. */
export function WhatIsMissing({
  trayId,
  pencils,
  paper,
}: {
  trayId: string;
  pencils: readonly Pencil[];
  paper: string;
}) {
  const { data: trays } = useTraysQuery();
  const other = trays?.find((tray) => tray.id !== trayId && tray.pencils > 0);
  const { data: theirs } = usePencilsQuery(other?.id ?? '', { skip: !other });
  const elsewhere = other ? theirs : trays && NONE;
  const use = usePaper(trayId, paper);
  const { data: wear } = useWearQuery(trayId);
  const ask = () => {
    const lacking = [...pencils.filter((pencil) => !isHere(pencil)), ...(elsewhere ?? [])];
    return pencilJobs.start('missing', {
      pencils: pencils.filter(isHere).map((pencil) => use!.trayPencil(pencil)),
      others: lacking.map((pencil) => use!.trayPencil(pencil)),
      planned: plannedOf(wear, lacking),
      paper: use!.paper,
    });
  };
  const missing = useAnswer(use && elsewhere && wear ? [ask] : [], [pencils, elsewhere, wear, use]).value;
  if (pencils.length === 0 || !missing || !elsewhere) return null;
  const planned = plannedOf(
    wear,
    pencils.filter((pencil) => !isHere(pencil)),
  );
  const find = (id: string) => [...pencils, ...elsewhere].find((pencil) => pencil.id === id);
  const code = (id: string) => find(id)?.code ?? id;
  return (
    <Section title="What this tray lacks">
      <ul className="grid gap-1.5 text-[0.95rem]">
        <li>
          {missing.hues.length === 0
            ? 'A clear pencil at every place of the wheel.'
            : `No clear ${missing.hues.map((place) => WHEEL_PLACES[place]!.name).join(', ')}.`}{' '}
          <Why of="what counts as clear">
            One firm pass on this paper with a chroma of at least 0.07 (OKLCH), within 15° of the place.
          </Why>
        </li>
        <li>
          {missing.values.length === 0
            ? 'Pencils of every value from dark to pale.'
            : `Nothing of value L* ${missing.values.map(({ from, to }) => `${from.toFixed(0)} to ${to.toFixed(0)}`).join(', ')}.`}
        </li>
        <li>
          {missing.twice.length === 0
            ? 'No two that hardly differ.'
            : `${missing.twice.length} pairs hardly differ: ${missing.twice
                .slice(0, 4)
                .map(({ a, b, deltaE }) => `${code(a)} and ${code(b)} (${deltaE.toFixed(1)})`)
                .join(', ')}${missing.twice.length > 4 ? ' and others' : ''}.`}
        </li>
        {missing.helpful.length > 0 && (
          <li>
            Of what is not here,{' '}
            {missing.helpful.map(({ id }) => `${code(id)} ${find(id)?.name ?? ''}`.trim()).join(', ')} would help most
            {planned.size > 0 && ' with the sheets planned'}.{' '}
            <Why of="which helps most">
              {planned.size > 0
                ? 'The pencil that brings this tray nearest to the colours that sheets are planned in and that are not here, by how much lead of each they take.'
                : `The pencil that brings this tray nearest, on average, to the colours of all pencils that are missing or lie in ${other?.name ?? 'other trays'}, each at its best pressure.`}
            </Why>
          </li>
        )}
      </ul>
    </Section>
  );
}

/** How much lead the sheets planned take of pencils that are not here, by id. */
function plannedOf(wear: readonly PencilWear[] | undefined, lacking: readonly Pencil[]): ReadonlyMap<string, number> {
  const ids = new Set(lacking.map(({ id }) => id));
  return new Map(
    (wear ?? []).flatMap(({ pencilId, lengthMm }) => (ids.has(pencilId) ? [[pencilId, lengthMm] as const] : [])),
  );
}
