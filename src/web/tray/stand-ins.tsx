import { Download, Printer } from 'lucide-react';
import { useState } from 'react';
import type { Pencil } from '../../contracts/index.ts';
import { type Pressure, PRESSURES } from '../../core/laydown/index.ts';
import { type Closeness } from '../../core/tray/index.ts';
import { csvOf, safeName } from '../../formats/index.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { usePaper } from '../api/use-paper.ts';
import { BeliefMark, Button, Laydown, Notice, Select, Progress } from '../parts/index.ts';
import { type OutputOf, type PencilJobs, pencilJobs, useJob } from '../workers/index.ts';
import { saveText } from '../parts/save-file.ts';

type Found = OutputOf<PencilJobs['convertSet']>;

/** Marks that read without colour: the more strokes, the farther off. */
const MARKS: Record<Closeness, string> = { 'the same to the eye': '=', near: '≈', alike: '~', 'nothing near': '×' };

/** What stands in for each pencil of one set in another, on this paper: on the screen, on paper and as CSV. */
export function StandIns({ pencils, paper }: { pencils: readonly Pencil[]; paper: string }) {
  const sets = [...new Set(pencils.map(({ set }) => set))].filter(Boolean);
  const [from, setFrom] = useState(sets[0] ?? '');
  const [to, setTo] = useState(sets[1] ?? '');
  const [pressure, setPressure] = useState<Pressure>('firm');
  const { now, start, cancel } = useJob<Found>('laying both sets');
  const [asked, setAsked] = useState('');
  const use = usePaper(pencils[0]?.trayId ?? '', paper);
  const asking = [from, to, pressure, paper, use?.fit?.at].join(' ');
  const of = (set: string) => pencils.filter((pencil) => pencil.set === set);
  const pencil = (id: string) => pencils.find((each) => each.id === id)!;
  const run = () => {
    if (!use) return;
    setAsked(asking);
    const sets = { from: of(from).map(use.trayPencil), to: of(to).map(use.trayPencil) };
    void start((report) => pencilJobs.start('convertSet', { ...sets, paper: use.paper, pressure }, { report }));
  };
  if (sets.length < 2) {
    return <p className="py-8 text-soft">Stand-ins are looked for between two sets; this tray has fewer.</p>;
  }
  const rows = now.state === 'done' && asked === asking ? now.value : null;
  const layers = (row: Found[number]) =>
    row.layering?.layers.map(({ id, pressure: at }) => `${pencil(id).code} ${at}`).join(', then ') ?? '';
  const csv = () =>
    csvOf(
      (rows ?? []).map((row) => ({
        code: pencil(row.id).code,
        name: pencil(row.id).name,
        'stand-in': row.near ? pencil(row.near.id).code : '',
        'stand-in name': row.near ? pencil(row.near.id).name : '',
        deltaE: row.near?.deltaE.toFixed(1) ?? '',
        'how near': row.closeness,
        'the stand-in is': row.differs,
        'nearer in layers': layers(row),
        'layers deltaE': row.layering?.deltaE.toFixed(1) ?? '',
      })),
    );
  const options = sets.map((set) => ({ value: set, label: set }));
  return (
    <div className="stand-ins">
      <div className="grid grid-cols-[1fr_auto_1fr_10rem_auto] items-center gap-2 pb-3 print:hidden">
        <Select label="Pencils of" value={from} options={options} onChange={setFrom} />
        <span>stand-ins in</span>
        <Select label="Stand-ins in" value={to} options={options} onChange={setTo} />
        <Select<Pressure>
          label="Laid"
          value={pressure}
          options={PRESSURES.map((value) => ({ value, label: `laid ${value}` }))}
          onChange={setPressure}
        />
        <Button look="strong" disabled={from === to || now.state === 'working'} onClick={run}>
          Look for them
        </Button>
      </div>
      {from === to && <p className="text-soft">Choose two sets.</p>}
      {now.state === 'working' && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
      {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
      {rows && (
        <>
          <div className="flex items-center gap-2 pb-2 print:hidden">
            <p className="mr-auto text-soft">
              {rows.filter(({ closeness }) => closeness === 'nothing near').length} of {rows.length} have nothing near.
            </p>
            <Button
              onClick={() => saveText({ name: `${safeName(`${from} in ${to}`)}.csv`, text: csv(), mime: 'text/csv' })}
            >
              <Download size={16} /> Save as CSV
            </Button>
            <Button onClick={() => window.print()}>
              <Printer size={16} /> Print
            </Button>
          </div>
          <table className="w-full bg-leaf text-left text-[0.93rem]">
            <thead>
              <tr className="border-b border-ink">
                {[from, '', to, 'apart', 'the stand-in is', 'nearer, laid over each other'].map((name, i) => (
                  <th key={i} scope="col" className="px-2 py-1.5 font-semibold">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className="border-b border-rule">
                  <PencilCell pencil={pencil(row.id)} paperModel={use} />
                  <td className="px-1 text-center font-figure text-lg" title={row.closeness}>
                    {MARKS[row.closeness]}
                    <span className="sr-only">{row.closeness}</span>
                  </td>
                  {row.near ? (
                    <PencilCell pencil={pencil(row.near.id)} paperModel={use} />
                  ) : (
                    <td className="px-2">nothing</td>
                  )}
                  <td className="px-2 font-figure">{row.near?.deltaE.toFixed(1)}</td>
                  <td className="px-2">{row.differs}</td>
                  <td className="px-2 text-[0.88rem]">
                    {layers(row)}{' '}
                    {row.layering && <span className="font-figure">({row.layering.deltaE.toFixed(1)})</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="py-2 text-sm text-soft">
            = the same to the eye, ≈ near, ~ alike, × nothing near: up to 1.5, 4 and 9 apart, CIEDE2000, as these
            colours are known on this paper.
          </p>
        </>
      )}
    </div>
  );
}

function PencilCell({ pencil, paperModel }: { pencil: Pencil; paperModel: PaperModel | null }) {
  return (
    <td className="px-2 py-1">
      <span className="flex items-center gap-2">
        <Laydown pencil={pencil} paperModel={paperModel} width={64} height={28} />
        <span>
          <span className="font-figure font-bold">{pencil.code}</span>{' '}
          {paperModel && <BeliefMark belief={paperModel.beliefIn(pencil)} />} {pencil.name}
        </span>
      </span>
    </td>
  );
}
