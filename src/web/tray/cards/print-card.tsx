import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { type NewCard, type Pencil, type SwatchCard, isHere } from '../../../contracts/index.ts';
import { paperById } from '../../../core/laydown/index.ts';
import { pagesOf } from '../../../core/swatch-card/index.ts';
import { useAddCardMutation } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { usePaper } from '../../api/use-paper.ts';
import { CardOver, Button, Select } from '../../parts/index.ts';
import { PdfOf } from './pdf-of.tsx';

type For = 'shown' | 'not measured' | 'here' | 'empty';

interface Props {
  trayId: string;
  pencils: readonly Pencil[];
  shown: readonly Pencil[];
  paper: string;
  onClose(): void;
}

/** Makes a swatch card for some pencils, or an empty one, and gives it as a PDF. */
export function PrintCard({ trayId, pencils, shown, paper, onClose }: Props) {
  const use = usePaper(trayId, paper);
  const [add, { isLoading }] = useAddCardMutation();
  const [made, setMade] = useState<SwatchCard | null>(null);
  const [emptyRows, setEmptyRows] = useState(12);
  const here = pencils.filter(isHere);
  const unmeasured = here.filter((pencil) => use?.beliefIn(pencil).ground !== 'fitted');
  const lists: Record<For, readonly Pencil[]> = {
    shown: shown.filter(isHere),
    'not measured': unmeasured,
    here,
    empty: [],
  };
  const [wanted, setWanted] = useState<For>(
    lists.shown.length === 0
      ? 'empty'
      : shown.length < pencils.length || unmeasured.length === 0
        ? 'shown'
        : 'not measured',
  );
  const chosen = lists[wanted];
  const rows = wanted === 'empty' ? emptyRows : chosen.length;
  const make = async () => {
    const card: NewCard = {
      id: nanoid(),
      paper,
      pencilIds: chosen.map(({ id }) => id),
      emptyRows: wanted === 'empty' ? emptyRows : 0,
    };
    const { data, error } = await add({ trayId, card });
    if (error) toast.error(sentenceOf(error));
    else setMade(data.find(({ id }) => id === card.id) ?? null);
  };
  const pages = (count: number) => `${pagesOf(count)} ${pagesOf(count) === 1 ? 'page' : 'pages'}`;
  return (
    <CardOver title="Print a swatch card" width="narrow" onClose={onClose}>
      <p className="mt-2 text-[0.95rem] text-soft">
        A row a pencil: light, medium and firm, full strength, one laid over the next, and three over a dark bar that
        tell how much it covers. Print it on {paperById(paper).name}, or on what comes nearest.
      </p>
      {made ? (
        <>
          <p role="status" className="mt-4">
            Card {made.number} is ready, {pages(made.pencilIds.length + made.emptyRows)}. Its number stands on it in
            boxes, so a picture says by itself which card it is.
          </p>
          <div className="mt-4 flex items-center justify-between gap-2">
            <PdfOf trayId={trayId} cardId={made.id} number={made.number} />
            <Button look="strong" onClick={onClose}>
              Done
            </Button>
          </div>
        </>
      ) : (
        <>
          <div className="mt-4 grid gap-2">
            <Select<For>
              label="Pencils on the card"
              value={wanted}
              options={[
                { value: 'shown', label: `the ${lists.shown.length} that the search shows` },
                { value: 'not measured', label: `the ${unmeasured.length} not measured on this paper` },
                { value: 'here', label: `all ${here.length} that are here` },
                { value: 'empty', label: 'none yet: empty rows to write codes on' },
              ]}
              onChange={setWanted}
            />
            {wanted === 'empty' && (
              <label className="flex items-center gap-2 text-[0.95rem]">
                Rows
                <input
                  type="number"
                  min={1}
                  max={200}
                  value={emptyRows}
                  className="h-10 w-24 border border-edge bg-leaf px-3"
                  onChange={(event) =>
                    setEmptyRows(Math.min(200, Math.max(1, Math.round(Number(event.target.value)) || 1)))
                  }
                />
              </label>
            )}
            <p className="text-[0.95rem] text-soft">
              {rows === 0 ? 'No pencil is among these.' : `${rows} rows on ${pages(rows)} of A4 or letter paper.`}
            </p>
          </div>
          <div className="mt-4 flex justify-end gap-2">
            <Button onClick={onClose}>Put it away</Button>
            <Button look="strong" disabled={rows === 0 || isLoading} onClick={() => void make()}>
              Make the card
            </Button>
          </div>
        </>
      )}
    </CardOver>
  );
}
