import { useMemo, useState } from 'react';
import { type Lab } from '../../core/colour/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type PageSummary, type Proposal } from '../../core/palette/index.ts';
import { VIEWS } from '../../core/preview/index.ts';
import { type Family } from '../../core/recipe/index.ts';
import { edited, familiesOf, giveFamilies } from '../../plan/index.ts';
import { deriveRecipes } from '../../plan/derive/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { SeenBy } from '../desk/seen-by.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { usePickThing } from '../desk/use-pick-thing.ts';
import { type Pixels, useCanvas, usePixels } from '../desk/use-canvas.ts';
import { usePreviewPixels } from '../desk/use-preview.ts';
import { Select } from '../parts/index.ts';
import { pencilJobs } from '../workers/index.ts';
import { LookAlikesUnderLamp } from './look-alikes.tsx';
import { useAudit } from './use-audit.ts';

const ALL_LAYERS = {};
const PLAIN = 'colour';
const ACCENTS = 'accents';

/** The predicted page in the ways in which colourists judge one, by itself or beside a proposal. */
export function Judge({
  summary,
  colours,
  compared,
  chosen,
}: {
  summary: PageSummary | null;
  colours: ReadonlyMap<string, Lab>;
  compared: Proposal | null;
  chosen: readonly number[];
}) {
  const [view, setView] = useState<string>(PLAIN);
  const { sheet } = useDesk();
  const own = familiesOf(sheet.plan);
  const proposed = useMemo(() => {
    const families = compared?.parts.flatMap(({ thingId, family }) => (family ? [[thingId, family] as const] : []));
    return families ? { ...own, ...Object.fromEntries(families) } : null;
  }, [compared, own]);
  const itsColours = useMemo(
    () => new Map((compared?.parts ?? []).map(({ thingId, body }) => [thingId, body] as const)),
    [compared],
  );
  const options = [
    { value: PLAIN, label: 'colour', says: 'As it will come out.' },
    ...VIEWS.map(({ id, name, says }) => ({ value: id, label: name, says })),
    {
      value: ACCENTS,
      label: 'only the accents',
      says: 'What stands away from the ruling hue; everything else stays bare.',
    },
  ];
  return (
    <div className="flex h-full flex-col">
      <div className="flex min-h-13 items-center gap-3 pt-3 pr-72 pl-4">
        <span className="w-56 shrink-0">
          <Select label="Judge by" value={view} options={options} onChange={setView} />
        </span>
        <SeenBy className="w-52 shrink-0" />
        <p className="text-[0.9rem] leading-tight text-soft">{options.find(({ value }) => value === view)?.says}</p>
      </div>
      <LookAlikesUnderLamp summary={summary} />
      <div className="grid min-h-0 flex-1 auto-cols-fr grid-flow-col">
        <Judged
          title={proposed ? 'as it is planned' : ''}
          families={own}
          view={view}
          summary={summary}
          colours={colours}
          chosen={chosen}
        />
        {proposed && (
          <Judged
            title={compared!.name}
            families={proposed}
            colours={itsColours}
            view={view}
            summary={summary}
            chosen={chosen}
          />
        )}
      </div>
    </div>
  );
}

/** One predicted page, in one view. */
function Judged(props: {
  title: string;
  families: Readonly<Record<string, Family>>;
  view: string;
  summary: PageSummary | null;
  colours: ReadonlyMap<string, Lab>;
  chosen: readonly number[];
}) {
  const { title, families, view, summary, colours, chosen } = props;
  const { sheet, page, pencilById, paperModel, rates } = useDesk();
  const pick = usePickThing();
  const audit = useAudit(summary, colours);
  const recipes = useMemo(() => {
    if (!page) return null;
    const given = edited(sheet.plan, (plan) => giveFamilies(plan, families)).plan;
    const all = deriveRecipes(given, page, pencilById, rates, paperModel);
    if (view !== ACCENTS) return all;
    const accents = new Set(audit?.facts.accents.map(({ id }) => id));
    return new Map([...all].filter(([id]) => accents.has(id)));
  }, [sheet.plan, families, page, pencilById, paperModel, rates, view, audit]);
  const seen = useSeen(usePreviewPixels(ALL_LAYERS, false, recipes), view);
  return (
    <figure className="flex min-w-0 flex-col" aria-label={title || 'The page'}>
      <div className="min-h-0 flex-1">
        <SheetView
          predicted={seen}
          selected={chosen}
          lit={NOTHING}
          onPick={pick}
          paperTint={paperById(sheet.plan.page.paper).tint}
          fitKey={`judged ${title ? 'side by side' : 'alone'}`}
          bare
        />
      </div>
      {title && <figcaption className="pb-2 text-center text-[0.95rem]">{title}</figcaption>}
    </figure>
  );
}

const NOTHING: readonly number[] = [];

/** A preview as a view shows it; the plain one until that is worked out. */
function useSeen(preview: Pixels | null, view: string): HTMLCanvasElement | null {
  const changed = view !== PLAIN && view !== ACCENTS;
  const ask = () => pencilJobs.start('viewPicture', { view, picture: preview! });
  const seen = usePixels(changed && preview !== null ? [ask] : [], [preview, view]);
  return useCanvas(changed ? seen : preview);
}
