import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { Pencil } from '../../contracts/index.ts';
import { paperKind } from '../../core/laydown/index.ts';
import { usePencilsQuery, useSheetQuery, useTraysQuery } from '../api/desk-api.ts';
import { whyNotShown } from '../api/sentence.ts';
import { Failed, Waiting } from '../desk/failed.tsx';
import { Header } from '../desk/header.tsx';
import { LampDoubt } from '../desk/seen-by.tsx';
import { Choice, Select } from '../parts/index.ts';
import { LaidOut } from './laid-out.tsx';
import { LookForColour } from './look-for-colour.tsx';
import { type Order, ORDERS, inOrder } from './order.ts';
import { PencilTable } from './pencil-table.tsx';
import { StandIns } from './stand-ins.tsx';
import { Tools } from './tools.tsx';
import { NO_FILTERS, TrayFilters, filtered, isFiltered } from './tray-filters.tsx';
import { TraySide } from './tray-side.tsx';
import { TrialPatch } from './trial/trial-patch.tsx';
import { EditShownPencils } from './edit-shown-pencils.tsx';

type View = 'laid out' | 'table' | 'stand-ins' | 'trial patch';
const VIEWS: readonly { value: View; label: string }[] = [
  { value: 'laid out', label: 'Laid out' },
  { value: 'table', label: 'Table' },
  { value: 'stand-ins', label: 'Stand-ins' },
  { value: 'trial patch', label: 'Trial patch' },
];

/** The Tray: pencils as they come out on the paper, searched and filtered, and where each of them is. */
export function TrayScreen() {
  const { trayId = 'my-pencils' } = useParams();
  const [params, setParams] = useSearchParams();
  const sheetId = params.get('sheet');
  const { data: trays = [] } = useTraysQuery();
  const { data: pencils, error } = usePencilsQuery(trayId);
  const { data: sheet } = useSheetQuery(sheetId ?? '', { skip: !sheetId });
  const [ownPaper, setPaper] = useState('white-book');
  const [places, setPlaces] = useState(NO_FILTERS);
  const [view, setView] = useState<View>('laid out');
  const [picked, setPicked] = useState<string | null>(null);
  if (error) return <Failed sentence={whyNotShown(error)} />;
  if (!pencils) return <Waiting doing="opening the tray" />;
  const name = trays.find((each) => each.id === trayId)?.name;
  const paper = paperKind(sheet?.plan.page.paper ?? ownPaper);
  // What is searched for stands in the address, so that a pencil that was found elsewhere is shown here.
  const filters = { ...places, words: params.get('words') ?? '' };
  const shown = filtered(pencils, filters);
  const lists = view === 'laid out' || view === 'table';
  const setParam = (key: 'words' | 'pencil', value: string) => {
    const next = new URLSearchParams(params);
    if (value) next.set(key, value);
    else next.delete(key);
    setParams(next, { replace: true });
  };
  return (
    <div className="flex h-dvh min-h-130 flex-col print:block print:h-auto">
      <Header sheetId={sheetId} />
      <main className="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto print:block">
        <section className="flex min-w-0 flex-1 flex-col px-5 pt-3 max-md:h-[85dvh] max-md:flex-none max-md:px-3">
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pb-3">
            <h1 className="text-2xl">{name ?? 'Tray'}</h1>
            <p className="text-soft">{countsOf(pencils)}</p>
            <div className="ml-auto w-104 max-md:w-full print:hidden">
              <Choice<View> label="How the tray is shown" value={view} options={VIEWS} onChange={setView} />
            </div>
          </div>
          <TrayFilters
            sets={[...new Set(pencils.map((pencil) => pencil.set))].filter(Boolean)}
            filters={lists ? filters : null}
            onFilters={(next) => {
              setPlaces(next);
              if (next.words !== filters.words) setParam('words', next.words);
            }}
            paper={paper}
            isOfSheet={sheet !== undefined}
            onPaper={setPaper}
          />
          <LampDoubt />
          <Pencils
            trayId={trayId}
            view={view}
            pencils={pencils}
            shown={shown}
            isWhole={!isFiltered(filters)}
            paper={paper}
            picked={picked}
            onPick={setPicked}
            onLook={({ id }) => setParam('pencil', id)}
          />
        </section>
        <TraySide
          trayId={trayId}
          sheetId={sheetId}
          name={name ?? 'tray'}
          pencils={pencils}
          shown={shown}
          paper={paper}
          picked={picked}
          onPutAway={() => setPicked(null)}
          chosen={pencils.find((pencil) => pencil.id === params.get('pencil'))}
          onClose={() => setParam('pencil', '')}
        />
      </main>
    </div>
  );
}

interface PencilsProps {
  trayId: string;
  view: View;
  pencils: readonly Pencil[];
  /** Those that the filters let through. */
  shown: readonly Pencil[];
  /** Whether that is the whole tray because nothing is looked for. */
  isWhole: boolean;
  paper: string;
  picked: string | null;
  onPick(colour: string | null): void;
  onLook(pencil: Pencil): void;
}

/** The pencils of a tray in one of its views. */
function Pencils({ trayId, view, pencils, shown, isWhole, paper, picked, onPick, onLook }: PencilsProps) {
  const [order, setOrder] = useState<Order>('own');
  const [scroller, setScroller] = useState<HTMLElement | null>(null);
  const lists = view === 'laid out' || view === 'table';
  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto pb-6 print:overflow-visible"
      ref={setScroller}
      tabIndex={0}
      role="region"
      aria-label="Pencils"
    >
      {pencils.length === 0 && <EmptyTray />}
      {lists && pencils.length > 0 && shown.length === 0 && (
        <p className="py-8 text-soft">No pencil here fits that. Loosen the search.</p>
      )}
      {lists && shown.length > 0 && (
        <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2 text-[0.95rem]">
          {view === 'laid out' && (
            <Select<Order> label="Order" value={order} className="w-52!" options={ORDERS} onChange={setOrder} />
          )}
          <LookForColour paper={paper} picked={picked} onPick={onPick} />
          {shown.length < pencils.length && <EditShownPencils trayId={trayId} pencils={shown} />}
        </div>
      )}
      {shown.length > 0 && view === 'laid out' && (
        <LaidOut trayId={trayId} paper={paper} scroller={scroller} pencils={inOrder(shown, order)} onLook={onLook} />
      )}
      {shown.length > 0 && view === 'table' && (
        <PencilTable trayId={trayId} paper={paper} scroller={scroller} pencils={shown} onLook={onLook} />
      )}
      {pencils.length > 0 && view === 'stand-ins' && <StandIns pencils={pencils} paper={paper} />}
      {pencils.length > 0 && view === 'trial patch' && <TrialPatch trayId={trayId} pencils={pencils} paper={paper} />}
      {lists && isWhole && <Tools trayId={trayId} />}
    </div>
  );
}

function countsOf(pencils: readonly Pencil[]): string {
  const count = (where: Pencil['whereabouts']) => pencils.filter((pencil) => pencil.whereabouts === where).length;
  const parts = [`${count('here')} here`];
  if (count('stub')) parts.push(`${count('stub')} stubs`);
  if (count('missing')) parts.push(`${count('missing')} missing`);
  if (count('ordered')) parts.push(`${count('ordered')} ordered`);
  return pencils.length ? `${pencils.length} pencils: ${parts.join(', ')}` : 'no pencils yet';
}

function EmptyTray() {
  return (
    <div className="max-w-lg py-10">
      <p className="text-xl">This tray is empty.</p>
      <p className="mt-2 text-soft">
        Photograph a swatch chart that you have, copy a whole set, bring in a list of codes and colours, or open another
        tray and copy single pencils into this one.
      </p>
    </div>
  );
}
