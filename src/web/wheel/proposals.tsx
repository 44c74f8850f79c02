import { isHere } from '../../contracts/index.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { beliefOfAll } from '../../core/laydown/index.ts';
import { type Proposal } from '../../core/palette/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { bodyColour } from '../desk/body-colour.ts';
import { type Desk, useDesk } from '../desk/desk-context.ts';
import { stageAddress } from '../desk/stages.ts';
import { Button, Notice, Progress, Section, Why } from '../parts/index.ts';
import { pencilWorker, useJob } from '../workers/index.ts';
import { summariseSheet } from '../../planning/index.ts';

/** Palettes for the whole page from the pencils that are here, each with its reason. */
export function Proposals() {
  const desk = useDesk();
  const { sheet, page, pencils } = desk;
  const { wheel, things } = sheet.plan;
  const { now, start, cancel } = useJob<Proposal[]>(pencilWorker, 'looking at the tray');
  const [proposedFor, setProposedFor] = useState('');
  const change = usePlanChange(sheet.id, 'wheel');
  const askedFor = `${Math.round(wheel.anchor)} ${wheel.scheme}`;
  const propose = () => {
    if (!page) return;
    const here = pencils.filter(isHere).map(desk.use.trayPencil);
    const summary = summariseSheet(sheet.plan, page);
    setProposedFor(askedFor);
    void start((jobId, report) => pencilWorker.propose(jobId, summary, here, desk.use.paper, { ...wheel }, report));
  };
  const take = (proposal: Proposal) =>
    void change(`take the palette “${proposal.name}”`, {
      families: {
        ...sheet.plan.families,
        ...Object.fromEntries(proposal.parts.map((part) => [part.thingId, part.family])),
      },
    });
  const unready = whyNot(desk);
  return (
    <Section title="Palettes for this page">
      {unready}
      {!unready && now.state !== 'working' && (
        <Button
          look={now.state === 'done' && proposedFor === askedFor ? 'plain' : 'strong'}
          className="w-full"
          onClick={propose}
        >
          {now.state === 'done' ? 'Propose again' : `Propose palettes for ${things.length} things`}
        </Button>
      )}
      {now.state === 'working' && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
      {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
      {now.state === 'done' && (
        <ul className="mt-2 grid gap-2">
          {now.value.map((proposal) => (
            <ProposalCard key={proposal.name} proposal={proposal} onTake={() => take(proposal)} />
          ))}
        </ul>
      )}
    </Section>
  );
}

function whyNot({ sheet, page, pencils }: Desk) {
  const link = 'font-semibold underline underline-offset-4';
  if (!page || sheet.plan.things.length === 0) {
    return (
      <Notice>
        Name at least one thing first, at the{' '}
        <Link className={link} to={stageAddress(sheet.id, sheet.trayId, 'page')}>
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

function ProposalCard({ proposal, onTake }: { proposal: Proposal; onTake(): void }) {
  const desk = useDesk();
  const { sheet, page, pencilById, use } = desk;
  const used = new Set(proposal.parts.flatMap(({ family }) => Object.values(family)));
  const beliefs = [...used].flatMap((id) => pencilById.get(id) ?? []).map(use.beliefIn);
  const sure = beliefOfAll(beliefs)?.apart ?? 0;
  const area = new Map(
    sheet.plan.things.map((thing) => [
      thing.id,
      thing.regionIds.reduce((sum, id) => sum + (page?.regions[id - 1]?.areaMm2 ?? 0), 0),
    ]),
  );
  const { parting, fit, shares } = proposal.scores;
  return (
    <li className="bg-leaf p-2.5">
      <div className="flex items-baseline justify-between">
        <h3 className="text-base">{proposal.name}</h3>
        <span className="text-sm text-soft">
          {proposal.pencils} pencils{' '}
          <Why of={`palette ${proposal.name}`}>
            {proposal.reason} The colours of its pencils are known to about ±{sure.toFixed(0)}.
          </Why>
        </span>
      </div>
      <div className="my-1.5 flex h-7 gap-px bg-ground p-1" aria-hidden>
        {[...proposal.parts]
          .sort((p, q) => (area.get(q.thingId) ?? 0) - (area.get(p.thingId) ?? 0))
          .map((part) => (
            <span
              key={part.thingId}
              style={{
                flexGrow: Math.sqrt(area.get(part.thingId) ?? 1),
                background: bodyColour(desk, part.family.mid),
              }}
            />
          ))}
      </div>
      <div className="flex items-center justify-between gap-2">
        <dl className="flex gap-3 text-sm">
          {[['parting', parting] as const, ['fit', fit] as const, ['shares', shares] as const].map(([name, score]) => (
            <div key={name}>
              <dt className="inline text-soft">{name} </dt>
              <dd className="inline font-figure font-bold">{score}</dd>
            </div>
          ))}
        </dl>
        <Button onClick={onTake} aria-label={`Take ${proposal.name}`}>
          Take
        </Button>
      </div>
    </li>
  );
}
