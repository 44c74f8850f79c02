import { Pin } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { isHere } from '../../contracts/index.ts';
import { hexOfLab } from '../../core/colour/index.ts';
import { beliefOfAll } from '../../core/laydown/index.ts';
import { type PageSummary, type Proposal } from '../../core/palette/index.ts';
import { pencilsOf } from '../../core/recipe/index.ts';
import { familiesOf, giveFamilies } from '../../plan/index.ts';
import { pinnedFamilies, withReflected } from '../../plan/derive/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { type Desk, useDesk } from '../desk/desk-context.ts';
import { stageAddress } from '../desk/stages.ts';
import { Button, Notice, Progress, Section, Why } from '../parts/index.ts';
import { pencilJobs, useJob } from '../workers/index.ts';

/** Palettes for the whole page from the pencils that are here, each with its reason. */
export function Proposals({
  summary,
  compared,
  onCompare,
}: {
  summary: PageSummary | null;
  /** Name of the proposal that is held against the page. */
  compared: string | null;
  onCompare(proposal: Proposal | null): void;
}) {
  const desk = useDesk();
  const { sheet, pencils } = desk;
  const { plan } = sheet;
  const { now, start, cancel } = useJob<Proposal[]>('looking at the tray');
  const [soFar, setSoFar] = useState<readonly Proposal[]>([]);
  /** The name of the proposal that was taken: the others are folded up. */
  const [taken, setTaken] = useState<string | null>(null);
  const [asked, setAsked] = useState({ for: '', seed: 0 });
  const change = usePlanChange(sheet.id, 'wheel');
  const askedFor = JSON.stringify([plan.wheel, plan.wishes, Object.keys(pinnedFamilies(plan))]);
  const shown = now.state === 'done' ? now.value : now.state === 'working' ? soFar : [];
  const stale = asked.for !== askedFor;
  const working = now.state === 'working';
  const propose = () => {
    if (!summary) return;
    // Asked again for the same, the search sets out from another seed.
    const seed = stale ? 1 : asked.seed + 1;
    const pinned = pinnedFamilies(plan);
    const staying = new Set(Object.values(pinned).flatMap(pencilsOf));
    // Pencils of pinned families come along though they are missing, but are used nowhere else.
    const some = pencils.filter((pencil) => isHere(pencil) || staying.has(pencil.id));
    const mustNot = [...plan.wishes.mustNot, ...some.filter((pencil) => !isHere(pencil)).map(({ id }) => id)];
    setAsked({ for: askedFor, seed });
    setSoFar([]);
    setTaken(null);
    onCompare(null);
    const wishes = { ...plan.wheel, ...plan.wishes, mustNot, pinned };
    const input = {
      page: summary,
      pencils: some.map(desk.paperModel.trayPencil),
      paper: desk.paperModel.paper,
      wishes,
      seed,
    };
    void start((report) => pencilJobs.start('proposePalettes', input, { report, soFar: setSoFar }));
  };
  const take = (proposal: Proposal) => {
    const families = proposal.parts.flatMap(({ thingId, family }) => (family ? [[thingId, family] as const] : []));
    const all = { ...familiesOf(plan), ...Object.fromEntries(families) };
    onCompare(null);
    setTaken(proposal.name);
    void change(`take the palette “${proposal.name}”`, (draft) =>
      giveFamilies(draft, desk.page ? withReflected(plan, desk.page, all) : all),
    );
  };
  const pins = Object.values(plan.things).filter(({ pinned }) => pinned).length;
  const unready = whyNot(desk, summary);
  return (
    <Section title="Palettes for this page">
      {unready}
      {!unready && (
        // It stays where it is while palettes are looked for, so that the keys do not lose their place.
        <Button
          look={shown.length > 0 && !stale ? 'plain' : 'strong'}
          className="w-full"
          aria-disabled={working}
          onClick={() => !working && propose()}
        >
          {working
            ? 'Looking for palettes …'
            : shown.length > 0
              ? 'Propose again'
              : `Propose palettes for ${summary?.things.length ?? 0} things`}
        </Button>
      )}
      {pins > 0 && !unready && (
        <p className="mt-1.5 flex items-center gap-1 text-sm text-soft">
          <Pin size={14} aria-hidden />
          {pins === 1 ? '1 family is pinned and stays' : `${pins} families are pinned and stay`} as{' '}
          {pins === 1 ? 'it is' : 'they are'}.
        </p>
      )}
      {now.state === 'working' && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
      {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
      {taken && (
        <div className="mt-2 flex items-baseline justify-between gap-2 text-[0.95rem]">
          <p>“{taken}” is taken.</p>
          <Button look="bare" className="shrink-0 px-0!" onClick={() => setTaken(null)}>
            Show all {shown.length}
          </Button>
        </div>
      )}
      {shown.length > 0 && !taken && (
        <ul className="mt-2 grid gap-2" aria-label="Proposed palettes" aria-busy={working}>
          {shown.map((proposal) => (
            <ProposalCard
              key={proposal.name}
              proposal={proposal}
              summary={summary!}
              compared={compared === proposal.name}
              final={now.state === 'done'}
              onTake={() => take(proposal)}
              onCompare={() => onCompare(compared === proposal.name ? null : proposal)}
            />
          ))}
        </ul>
      )}
    </Section>
  );
}

function whyNot({ sheet, pencils, page }: Desk, summary: PageSummary | null) {
  const link = 'font-semibold underline underline-offset-4';
  if (!page || !summary || summary.things.length === 0) {
    return (
      <Notice>
        Name at least one thing first, at the{' '}
        <Link className={link} to={stageAddress(sheet.id, sheet.trayId, 'sheet')}>
          Sheet
        </Link>
        .
      </Notice>
    );
  }
  if (!pencils.some(isHere)) {
    return (
      <Notice>
        The tray is empty: no pencil is here to choose from. Fill it at the{' '}
        <Link className={link} to={stageAddress(sheet.id, sheet.trayId, 'tray')}>
          Tray
        </Link>
        .
      </Notice>
    );
  }
  return null;
}

function ProposalCard(props: {
  proposal: Proposal;
  summary: PageSummary;
  compared: boolean;
  /** Whether the search is over; until then it may still get better. */
  final: boolean;
  onTake(): void;
  onCompare(): void;
}) {
  const { proposal, summary, compared, final, onTake, onCompare } = props;
  const { pencilById, paperModel } = useDesk();
  const used = new Set(proposal.parts.flatMap(({ family }) => (family ? pencilsOf(family) : [])));
  const beliefs = [...used].flatMap((id) => pencilById.get(id) ?? []).map(paperModel.beliefIn);
  const sure = beliefOfAll(beliefs)?.apart ?? 0;
  const area = new Map(summary.things.map((thing) => [thing.id, thing.areaMm2]));
  const areaOf = (thingId: string) => area.get(thingId) ?? 0;
  return (
    <li className="bg-leaf p-2.5">
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="text-base">{proposal.name}</h3>
        <span className="shrink-0 text-sm text-soft">
          {proposal.pencils} pencils{' '}
          <Why of={`palette ${proposal.name}`}>
            {proposal.reason} {proposal.tradesAway} The colours of its pencils are known to about ±{sure.toFixed(0)}.
            <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-3">
              {proposal.scores.map(({ id, name, score }) => (
                <div key={id} className="contents">
                  <dt className="text-soft">{name}</dt>
                  <dd className="text-right font-figure">{score}</dd>
                </div>
              ))}
            </dl>
            <p className="mt-1 text-soft">of 100 each; objective {proposal.objective.toFixed(2)}, lower is better.</p>
          </Why>
        </span>
      </div>
      <div className="my-1.5 flex h-7 gap-px bg-ground p-1" aria-hidden>
        {[...proposal.parts]
          .sort((p, q) => areaOf(q.thingId) - areaOf(p.thingId))
          .map((part) => (
            <span
              key={part.thingId}
              style={{ flexGrow: Math.sqrt(areaOf(part.thingId)), background: hexOfLab(part.body) }}
            />
          ))}
      </div>
      {proposal.unmet.length > 0 && (
        <p className="mb-1 border-l-4 border-ink pl-2 text-[0.9rem] leading-snug">
          {proposal.unmet[0]}{' '}
          {proposal.unmet.length > 1 && (
            <Why of={`what ${proposal.name} does not meet`}>
              <ul className="grid gap-1">
                {proposal.unmet.map((sentence) => (
                  <li key={sentence}>{sentence}</li>
                ))}
              </ul>
            </Why>
          )}
        </p>
      )}
      <div className="mt-1.5 flex items-center justify-between gap-2">
        <p className="text-[0.85rem] leading-tight text-soft">{final ? proposal.tradesAway : 'still getting better'}</p>
        <div className="flex shrink-0 gap-1.5">
          <Button aria-pressed={compared} onClick={onCompare} aria-label={`Hold ${proposal.name} against the page`}>
            {compared ? 'Put away' : 'Look'}
          </Button>
          <Button onClick={onTake} disabled={!final} aria-label={`Take ${proposal.name}`}>
            Take
          </Button>
        </div>
      </div>
    </li>
  );
}
