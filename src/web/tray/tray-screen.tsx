import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import type { Pencil } from '../../contracts/index.ts';
import { labOfHex, wordsFor } from '../../core/colour/index.ts';
import { PAPERS, paperById, paperKind } from '../../core/laydown/index.ts';
import { useEditSheetMutation, usePencilsQuery, useSheetQuery, useTraysQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Failed, Waiting } from '../desk/failed.tsx';
import { Header } from '../desk/header.tsx';
import { LampDoubt, SeenBy } from '../desk/seen-by.tsx';
import { Button, Choice, Select } from '../parts/index.ts';
import { AddPencil } from './add-pencil.tsx';
import { BringPencils } from './bring-pencils.tsx';
import { FitSwatches } from './fit-swatches.tsx';
import { SwatchCards } from './cards/swatch-cards.tsx';
import { FromAChart } from './from-a-chart.tsx';
import { LaidOut } from './laid-out.tsx';
import { intoView } from './into-view.ts';
import { LookForColour } from './look-for-colour.tsx';
import { PencilTable } from './pencil-table.tsx';
import { PencilFacts } from './pencil-facts.tsx';
import { Shopping } from './shopping.tsx';
import { StandIns } from './stand-ins.tsx';
import { TakeAway } from './take-away.tsx';
import { Tools } from './tools.tsx';
import { TrialPatch } from './trial/trial-patch.tsx';
import { WhatComesNear } from './what-comes-near.tsx';
import { WithThese } from './with-these.tsx';
import { WhatIsMissing } from './what-is-missing.tsx';
import { type Order, ORDERS, inOrder } from './order.ts';
import { matchesWords } from '../desk/pencil-search.ts';

type View = 'laid out' | 'table' | 'stand-ins' | 'trial patch';
const VIEWS: readonly { value: View; label: string }[] = [
  { value: 'laid out', label: 'Laid out' },
  { value: 'table', label: 'Table' },
  { value: 'stand-ins', label: 'Stand-ins' },
  { value: 'trial patch', label: 'Trial patch' },
];
const ALL = 'all';

/** The Tray: pencils as they come out on the paper, searched and filtered, and where each of them is. */
export function TrayScreen() {
  const { trayId = 'my-pencils' } = useParams();
  const [params, setParams] = useSearchParams();
  const sheetId = params.get('sheet');
  const { data: trays = [] } = useTraysQuery();
  const { data: pencils, error } = usePencilsQuery(trayId);
  const { data: sheet } = useSheetQuery(sheetId ?? '', { skip: !sheetId });
  const [ownPaper, setPaper] = useState('white-book');
  const [set, setSet] = useState(ALL);
  const [where, setWhere] = useState(ALL);
  const [view, setView] = useState<View>('laid out');
  const [order, setOrder] = useState<Order>('own');
  const [picked, setPicked] = useState<string | null>(null);
  const [scroller, setScroller] = useState<HTMLElement | null>(null);
  const words = params.get('words') ?? '';
  if (error) return <Failed sentence={sentenceOf(error)} />;
  if (!pencils) return <Waiting doing="opening the tray" />;
  const tray = trays.find((each) => each.id === trayId);
  const paper = paperKind(sheet?.plan.page.paper ?? ownPaper);
  const sets = [...new Set(pencils.map((pencil) => pencil.set))].filter(Boolean);
  const shown = pencils.filter(
    (pencil) =>
      (set === ALL || pencil.set === set) &&
      (where === ALL || pencil.whereabouts === where) &&
      matchesWords(pencil, words),
  );
  const lists = view === 'laid out' || view === 'table';
  const ordered = inOrder(shown, order);
  const chosen = pencils.find((pencil) => pencil.id === params.get('pencil'));
  const setParam = (name: 'words' | 'pencil', value: string) => {
    const next = new URLSearchParams(params);
    if (value) next.set(name, value);
    else next.delete(name);
    setParams(next, { replace: true });
  };
  const look = (pencil: Pencil) => setParam('pencil', pencil.id);
  return (
    <div className="flex h-dvh min-h-130 flex-col print:block print:h-auto">
      <Header sheetId={sheetId} />
      <main className="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto print:block">
        <section className="flex min-w-0 flex-1 flex-col px-5 pt-3 max-md:h-[85dvh] max-md:flex-none max-md:px-3">
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pb-3">
            <h1 className="text-2xl">{tray?.name ?? 'Tray'}</h1>
            <p className="text-soft">{countsOf(pencils)}</p>
            <div className="ml-auto w-104 max-md:w-full print:hidden">
              <Choice<View> label="How the tray is shown" value={view} options={VIEWS} onChange={setView} />
            </div>
          </div>
          <div className="grid grid-cols-[minmax(11rem,1.3fr)_1fr_1fr_1fr_1fr] gap-2 pb-3 max-md:grid-cols-2">
            {lists && (
              <>
                <input
                  aria-label="Search pencils"
                  placeholder="code, name or words: dull green"
                  value={words}
                  onChange={(event) => setParam('words', event.target.value)}
                  className="h-10 min-w-0 border border-edge bg-leaf px-3 placeholder:text-soft"
                />
                <Select
                  label="Set"
                  value={set}
                  options={[{ value: ALL, label: 'every set' }, ...sets.map((each) => ({ value: each, label: each }))]}
                  onChange={setSet}
                />
                <Select
                  label="Where it is"
                  value={where}
                  options={[
                    { value: ALL, label: 'wherever it is' },
                    { value: 'here', label: 'here' },
                    { value: 'stub', label: 'worn to a stub' },
                    { value: 'missing', label: 'missing' },
                    { value: 'ordered', label: 'ordered' },
                  ]}
                  onChange={setWhere}
                />
              </>
            )}
            {sheet ? (
              <p className="flex items-center text-[0.95rem] text-soft">on {paperById(paper).name}</p>
            ) : (
              <Select
                label="Paper"
                value={paper}
                options={PAPERS.map(({ id, name }) => ({ value: id, label: `on ${name}` }))}
                onChange={setPaper}
              />
            )}
            <SeenBy />
          </div>
          <LampDoubt />
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
                <LookForColour paper={paper} picked={picked} onPick={setPicked} />
                {shown.length < pencils.length && <WithThese trayId={trayId} pencils={shown} />}
              </div>
            )}
            {shown.length > 0 && view === 'laid out' && (
              <LaidOut trayId={trayId} paper={paper} scroller={scroller} pencils={ordered} onLook={look} />
            )}
            {shown.length > 0 && view === 'table' && (
              <PencilTable trayId={trayId} paper={paper} scroller={scroller} pencils={shown} onLook={look} />
            )}
            {pencils.length > 0 && view === 'stand-ins' && <StandIns pencils={pencils} paper={paper} />}
            {pencils.length > 0 && view === 'trial patch' && (
              <TrialPatch trayId={trayId} pencils={pencils} paper={paper} />
            )}
            {lists && !words && set === ALL && where === ALL && <Tools trayId={trayId} />}
          </div>
        </section>
        <aside
          aria-label="Trays"
          className="flex w-92 shrink-0 flex-col overflow-y-auto border-l border-rule bg-card px-5 py-4 max-md:w-full max-md:overflow-visible max-md:border-t max-md:border-l-0 print:hidden"
          tabIndex={0}
        >
          {picked && (
            <section ref={intoView} className="border-b border-rule pb-4">
              <div className="flex items-center gap-3">
                <span className="h-9 w-14 border border-rule" style={{ background: picked }} aria-hidden />
                <h2 className="flex-1 text-[1.05rem]">{wordsFor(labOfHex(picked))}</h2>
                <Button look="bare" aria-label="Put the colour away" onClick={() => setPicked(null)}>
                  Put away
                </Button>
              </div>
              <WhatComesNear target={labOfHex(picked)} of={null} pencils={pencils} paper={paper} />
            </section>
          )}
          {chosen && (
            <PencilFacts key={chosen.id} pencil={chosen} paper={paper} onClose={() => setParam('pencil', '')} />
          )}
          <TrayChooser trayId={trayId} sheetId={sheetId} />
          <FitSwatches key={`${trayId} ${paper}`} trayId={trayId} pencils={pencils} paper={paper} />
          <WhatIsMissing trayId={trayId} pencils={pencils} paper={paper} />
          <Shopping trayId={trayId} pencils={pencils} />
          <SwatchCards trayId={trayId} pencils={pencils} shown={shown} paper={paper} />
          <FromAChart trayId={trayId} paper={paper} />
          <AddPencil trayId={trayId} pencils={pencils} />
          <BringPencils trayId={trayId} />
          <TakeAway name={tray?.name ?? 'tray'} pencils={pencils} />
        </aside>
      </main>
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

/** Which tray is open, and whether the sheet on the desk is planned with it. */
function TrayChooser({ trayId, sheetId }: { trayId: string; sheetId: string | null }) {
  const { data: trays = [] } = useTraysQuery();
  const { data: sheet } = useSheetQuery(sheetId ?? '', { skip: !sheetId });
  const [edit] = useEditSheetMutation();
  const [params] = useSearchParams();
  return (
    <section className="border-b border-rule py-4 first:pt-0">
      <h2 className="mb-2 text-[1.05rem]">Trays</h2>
      <ul className="grid gap-1">
        {trays.map((tray) => (
          <li key={tray.id}>
            <Link
              to={`/tray/${tray.id}?${params}`}
              aria-current={tray.id === trayId ? 'page' : undefined}
              className={`flex min-h-10 items-center justify-between px-3 ${tray.id === trayId ? 'bg-strong font-semibold text-on-strong' : 'bg-leaf'}`}
            >
              <span>{tray.name}</span>
              <span className="text-sm">{tray.pencils}</span>
            </Link>
          </li>
        ))}
      </ul>
      {sheet && sheet.trayId !== trayId && (
        <>
          <p className="mt-3 text-[0.95rem]">{sheet.title} is planned with another tray.</p>
          <Button
            look="strong"
            className="mt-2 w-full"
            onClick={() =>
              void edit({ sheetId: sheet.id, edit: { trayId } }).then(({ error }) => {
                if (error) toast.error(sentenceOf(error));
              })
            }
          >
            Plan it with this one
          </Button>
        </>
      )}
      {sheet && sheet.trayId === trayId && (
        <p className="mt-2 text-[0.95rem] text-soft">{sheet.title} is planned with this tray.</p>
      )}
    </section>
  );
}
