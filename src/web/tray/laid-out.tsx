import clsx from 'clsx';
import { Copy } from 'lucide-react';
import { memo, useEffect, useState } from 'react';
import { toast } from 'sonner';
import { type Pencil, isHere } from '../../contracts/index.ts';
import { useCopyPencilsMutation, useEditPencilMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePaper } from '../api/use-paper.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { useSeenRows } from './use-seen-rows.ts';
import { BeliefMark, Laydown } from '../parts/index.ts';

const MY_PENCILS = 'my-pencils';

/** The tray laid out: each pencil as its laydown, with what it is called and whether it is here. */
export function LaidOut({
  trayId,
  pencils,
  paper,
  scroller,
  onLook,
}: {
  trayId: string;
  pencils: readonly Pencil[];
  paper: string;
  /** What scrolls the tray. */
  scroller: HTMLElement | null;
  onLook(pencil: Pencil): void;
}) {
  const use = usePaper(trayId, paper);
  const columns = useColumns(scroller);
  const { rows, above, below, holder, measured } = useSeenRows(
    Math.ceil(pencils.length / columns),
    scroller,
    ROW_PX,
    columns,
  );
  return (
    <ul
      ref={holder}
      className="grid gap-x-3 gap-y-3.5"
      style={{
        gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
        paddingTop: above,
        paddingBottom: below,
      }}
    >
      {rows.flatMap((row) =>
        pencils
          .slice(row * columns, (row + 1) * columns)
          .map((pencil, i) => (
            <LaidPencilCard
              key={pencil.id}
              trayId={trayId}
              pencil={pencil}
              paperModel={use}
              onLook={onLook}
              index={row}
              measured={i === 0 ? measured : undefined}
            />
          )),
      )}
    </ul>
  );
}

/** Least width of a pencil's card and the gap between two, CSS pixels, and the usual height of a card with its gap. */
const CARD_PX = 132;
const GAP_PX = 12;
const ROW_PX = 134;

/** How many pencils lie side by side in what scrolls them. */
function useColumns(scroller: HTMLElement | null): number {
  const [columns, setColumns] = useState(6);
  useEffect(() => {
    if (!scroller) return;
    const count = () => setColumns(Math.max(1, Math.floor((scroller.clientWidth + GAP_PX) / (CARD_PX + GAP_PX))));
    const watch = new ResizeObserver(count);
    watch.observe(scroller);
    return () => watch.disconnect();
  }, [scroller]);
  return columns;
}

const LaidPencilCard = memo(function LaidPencilCard({
  trayId,
  pencil,
  paperModel,
  index,
  measured,
  onLook,
}: {
  trayId: string;
  pencil: Pencil;
  paperModel: PaperModel | null;
  /** Its row, and what measures that, once a row. */
  index: number;
  measured?(element: HTMLElement | null): void;
  onLook(pencil: Pencil): void;
}) {
  return (
    <li
      ref={measured}
      data-index={index}
      className={clsx('bg-leaf p-1.5', !isHere(pencil) && 'border border-dashed border-edge')}
    >
      <button type="button" aria-label={`Look at ${pencil.code}`} className="block" onClick={() => onLook(pencil)}>
        <Laydown
          pencil={pencil}
          paperModel={paperModel}
          width={124}
          height={48}
          className={clsx('max-w-full', !isHere(pencil) && 'opacity-60')}
        />
      </button>
      <p className="mt-1 flex items-baseline justify-between gap-1">
        <span className="flex items-center gap-1.5">
          <span className="font-figure text-[1.02rem] font-bold">{pencil.code}</span>
          {paperModel && <BeliefMark belief={paperModel.beliefIn(pencil)} />}
        </span>
        <span className="truncate text-[0.8rem]" title={pencil.name}>
          {pencil.ownName ? `“${pencil.ownName}”` : pencil.name}
        </span>
      </p>
      <div className="flex items-center justify-between">
        <HereToggle trayId={trayId} pencil={pencil} />
        {trayId !== MY_PENCILS && <CopyOne pencil={pencil} />}
      </div>
    </li>
  );
});

/** Marks a pencil as here or missing; a stub counts as here and says so. */
function HereToggle({ trayId, pencil }: { trayId: string; pencil: Pencil }) {
  const [edit] = useEditPencilMutation();
  const here = isHere(pencil);
  return (
    <label className="flex min-h-8 cursor-pointer items-center gap-1.5 text-[0.88rem]">
      <input
        type="checkbox"
        checked={here}
        className="h-4 w-4 accent-neutral-800"
        aria-label={`${pencil.code} is here`}
        onChange={() =>
          void edit({ trayId, pencilId: pencil.id, edit: { whereabouts: here ? 'missing' : 'here' } }).then(
            ({ error }) => {
              if (error) toast.error(sentenceOf(error));
            },
          )
        }
      />
      {pencil.whereabouts === 'stub' ? 'a stub' : pencil.whereabouts}
    </label>
  );
}

function CopyOne({ pencil }: { pencil: Pencil }) {
  const [copy] = useCopyPencilsMutation();
  return (
    <button
      type="button"
      className="flex h-8 w-8 items-center justify-center hover:bg-card"
      aria-label={`Copy ${pencil.code} to My pencils`}
      title="Copy to My pencils"
      onClick={() =>
        void copy({ trayId: MY_PENCILS, pencilIds: [pencil.id] }).then(({ data, error }) => {
          if (error) toast.error(sentenceOf(error));
          else
            toast(data?.copied ? `${pencil.code} is in My pencils now.` : `${pencil.code} was in My pencils already.`);
        })
      }
    >
      <Copy size={15} />
    </button>
  );
}
