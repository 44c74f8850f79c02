import { nanoid } from 'nanoid';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { type PatchKind } from '../../contracts/index.ts';
import { hexOfLab } from '../../core/colour/index.ts';
import { PENCIL_TYPES, SINGLE_PATCHES, paperById } from '../../core/laydown/index.ts';
import { type ChartCell, type ChartGrid, masstoneOfPatch } from '../../core/tray/index.ts';
import { useAddPencilsMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { CardOver, Button, Notice, Select, Progress } from '../parts/index.ts';
import { photoJobs, useJob } from '../workers/index.ts';
import { codesIn } from './codes-in.ts';

const EDGES = ['left', 'top', 'right', 'bottom'] as const;
const FIELD = 'h-10 w-full min-w-0 border border-edge bg-leaf px-3';
const SIZE = 460;

/** Lays a grid over a chart, reads a colour a patch, gives each a code, and puts the pencils in the tray. */
export function ReadChart(props: { trayId: string; paper: string; picture: Blob; onClose(): void }) {
  const { trayId, paper, picture, onClose } = props;
  const url = useMemo(() => URL.createObjectURL(picture), [picture]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  const [rows, setRows] = useState(6);
  const [columns, setColumns] = useState(6);
  const [edges, setEdges] = useState<ChartGrid | null>(null);
  const [codes, setCodes] = useState('');
  const [set, setSet] = useState('');
  const [type, setType] = useState('wax');
  const [patch, setPatch] = useState<PatchKind>('full');
  const { now, start, cancel } = useJob<{ grid: ChartGrid; cells: ChartCell[] }>('reading the chart');
  const [addPencils, { isLoading }] = useAddPencilsMutation();
  useEffect(() => {
    const wish = edges ? { ...edges, rows, columns } : { rows, columns };
    void start((report) => photoJobs.start('readChart', { picture, wish, paper }, { report }));
  }, [start, picture, paper, rows, columns, edges]);
  const grid = now.state === 'done' ? now.value.grid : null;
  const patches = now.state === 'done' ? filled(now.value.cells) : [];
  const list = codesIn(codes);
  const twice = list.find((code, i) => list.indexOf(code) !== i);
  const fits = patches.length > 0 && list.length === patches.length && !twice;
  const put = async () => {
    const read = patches.map(({ lab }, i) => {
      const masstone = masstoneOfPatch(lab, patch, type, paperById(paper));
      return { id: nanoid(), code: list[i]!, lab, colour: hexOfLab(masstone) };
    });
    const { error } = await addPencils({
      trayId,
      pencils: read.map(({ id, code, colour }) => ({ id, code, colour, name: '', set, type, opacity: null })),
      readings: read.map(({ id, lab }) => ({ id: nanoid(), pencilId: id, paper, patch, ground: 'paper', lab })),
    });
    if (error) return void toast.error(sentenceOf(error));
    toast(`${read.length} pencils lie in the tray, each read once.`);
    onClose();
  };
  return (
    <CardOver title="Read the chart" width="wide" onClose={onClose}>
      <div className="mt-3 grid gap-6 md:grid-cols-[auto_1fr]">
        <div style={{ width: SIZE }}>
          <div className="relative bg-ground">
            <img src={url} alt="The chart" className="block w-full" draggable={false} />
            {grid && <GridOver grid={grid} cells={now.state === 'done' ? now.value.cells : []} />}
          </div>
          {now.state === 'working' && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
          {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
          <p className="mt-2 text-sm text-soft">
            The square in the middle of each cell shows what was read, once the paper between the patches is taken for{' '}
            {paperById(paper).name}.
          </p>
        </div>
        <div className="grid content-start gap-2">
          <div className="grid grid-cols-2 gap-2">
            <Count name="Rows" value={rows} onChange={setRows} />
            <Count name="Columns" value={columns} onChange={setColumns} />
            {grid && <GridEdges grid={grid} onChange={setEdges} />}
          </div>
          <label className="text-[0.95rem]">
            <span className="text-soft">Set</span>
            <input value={set} maxLength={60} className={FIELD} onChange={(event) => setSet(event.target.value)} />
          </label>
          <div className="grid grid-cols-2 gap-2">
            <Select
              label="Type of all"
              value={type}
              options={PENCIL_TYPES.map((each) => ({ value: each.id, label: each.name }))}
              onChange={setType}
            />
            <Select<PatchKind>
              label="How the patches were laid"
              value={patch}
              options={SINGLE_PATCHES.map((value) => ({
                value,
                label: value === 'full' ? 'laid full' : `laid ${value}`,
              }))}
              onChange={setPatch}
            />
          </div>
          <label className="text-[0.95rem]">
            <span className="text-soft">
              Codes, row by row, with spaces, commas or on lines; F-101 to F-136 stands for all between
            </span>
            <textarea
              value={codes}
              rows={4}
              spellCheck={false}
              className="w-full border border-edge bg-leaf p-2 font-figure text-sm"
              onChange={(event) => setCodes(event.target.value)}
            />
          </label>
          <p role="status" className="text-[0.95rem]">
            {now.state === 'done' && patches.length === 0
              ? 'No patch is seen on this paper. Set rows, columns and edges so that each cell holds one.'
              : `${patches.length} patches, ${list.length} codes.`}
            {twice && ` ${twice} stands twice.`}
          </p>
          <div className="flex gap-2">
            <Button look="strong" className="flex-1" disabled={!fits || isLoading} onClick={() => void put()}>
              Put {patches.length} pencils in this tray
            </Button>
            <Button onClick={onClose}>Put it away</Button>
          </div>
        </div>
      </div>
    </CardOver>
  );
}

/** The cells up to the last that holds a patch: a bare one between them is a white pencil, those behind are no patches. */
function filled(cells: readonly ChartCell[]): ChartCell[] {
  return cells.slice(0, cells.findLastIndex(({ bare }) => !bare) + 1);
}

function Count({ name, value, onChange }: { name: string; value: number; onChange(value: number): void }) {
  return (
    <label className="text-[0.95rem]">
      <span className="text-soft">{name}</span>
      <input
        type="number"
        min={1}
        max={40}
        value={value}
        className={FIELD}
        onChange={(event) => onChange(Math.min(40, Math.max(1, Math.round(Number(event.target.value)) || 1)))}
      />
    </label>
  );
}

/** Where the grid lies on the chart, as shares of its sides. */
function GridEdges({ grid, onChange }: { grid: ChartGrid; onChange(grid: ChartGrid): void }) {
  return (
    <>
      {EDGES.map((edge) => (
        <label key={edge} className="text-[0.95rem]">
          <span className="text-soft">{edge} edge</span>
          <input
            type="range"
            min={0}
            max={1}
            step={0.005}
            value={grid[edge]}
            className="w-full accent-neutral-800"
            onChange={(event) => onChange({ ...grid, [edge]: Number(event.target.value) })}
          />
        </label>
      ))}
    </>
  );
}

/** The grid over the picture, and in each cell what was read of it. */
function GridOver({ grid, cells }: { grid: ChartGrid; cells: readonly ChartCell[] }) {
  const [across, down] = [(grid.right - grid.left) / grid.columns, (grid.bottom - grid.top) / grid.rows];
  return (
    <div className="absolute inset-0" aria-hidden>
      {cells.map(({ lab, bare }, i) => {
        const [row, column] = [Math.floor(i / grid.columns), i % grid.columns];
        const percent = (share: number) => `${100 * share}%`;
        return (
          <span
            key={i}
            className="absolute flex items-center justify-center outline outline-dashed outline-black/60"
            style={{
              left: percent(grid.left + column * across),
              top: percent(grid.top + row * down),
              width: percent(across),
              height: percent(down),
            }}
          >
            {!bare && <span className="h-1/4 w-1/4 border border-white" style={{ background: hexOfLab(lab) }} />}
          </span>
        );
      })}
    </div>
  );
}
