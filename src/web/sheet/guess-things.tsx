import { nanoid } from 'nanoid';
import { useEffect, useMemo, useState } from 'react';
import { MATERIALS } from '../../core/light/index.ts';
import {
  type Answer,
  type GuessedThing,
  type Proposal,
  type Question,
  MOST_QUESTIONS,
} from '../../core/things/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Notice, Progress, Section } from '../parts/index.ts';
import { shadesOf } from './guess-shades.ts';
import { useProposal } from './use-proposal.ts';
import { addGuesses } from '../../plan/index.ts';

interface Choice {
  says: string;
  answer: Answer | { kind: 'what'; regionIds: readonly number[]; material: string };
}

/** Things that the page suggests for the regions in none, with a few questions; kept all at once, as guesses. */
export function GuessThings({
  onLeave,
  onShades,
}: {
  onLeave(): void;
  /** Called with a grey for each region: the guesses apart, or what is asked about set off from the rest. */
  onShades(shades: Uint8Array): void;
}) {
  const { sheet, page } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const [answers, setAnswers] = useState<readonly Answer[]>([]);
  const [materials, setMaterials] = useState<ReadonlyMap<number, string>>(new Map());
  const [asked, setAsked] = useState<readonly string[]>([]);
  const now = useProposal(answers, asked);
  const { proposal } = now;
  const question = now.state === 'there' ? now.proposal.questions[0] : undefined;
  const choices = useMemo(() => (proposal && question ? choicesOf(proposal, question) : []), [proposal, question]);
  useEffect(() => {
    if (page && proposal) onShades(shadesOf(page, proposal, question));
  }, [page, proposal, question, onShades]);
  const settle = (choice: Choice | null) => {
    if (!question) return;
    const answer = choice?.answer;
    if (answer?.kind === 'what') {
      setMaterials(new Map([...materials, ...answer.regionIds.map((id) => [id, answer.material] as const)]));
    } else if (answer) setAnswers([...answers, answer]);
    setAsked([...asked, question.key]);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey || event.altKey) return;
      const choice = choices[Number(event.key) - 1];
      if (!choice && event.key !== '0') return;
      event.preventDefault();
      settle(choice ?? null);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const keep = () => {
    if (!proposal) return;
    const materialOf = ({ regionIds }: GuessedThing) => regionIds.map((id) => materials.get(id)).find(Boolean) ?? null;
    void change(`keep ${proposal.guesses.length} guesses`, (plan) =>
      addGuesses(plan, proposal, () => nanoid(12), materialOf),
    );
    onLeave();
  };
  return (
    <Section title="What may belong together" aside={asked.length > 0 && `${asked.length} asked`} onEscape={onLeave}>
      {now.state === 'working' && !proposal && (
        <Progress share={now.share} doing={`${now.doing} …`} onCancel={onLeave} />
      )}
      {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
      {proposal && (
        <>
          <p>
            <strong className="font-figure text-2xl">{proposal.guesses.length}</strong>{' '}
            {proposal.guesses.length === 1 ? 'thing' : 'things'} out of{' '}
            {proposal.guesses.reduce((sum, { regionIds }) => sum + regionIds.length, 0)} regions
            {question ? '.' : ', each in a grey of its own.'}
          </p>
          <p className="mt-1 text-sm text-soft">
            Guessed from lines that stop at other lines, from what has the same shape, and from what lies inside
            another. Every one can be changed later.
          </p>
        </>
      )}
      {proposal && question && (
        <div className="mt-3 bg-leaf p-3">
          <p aria-live="polite">{asks(question)}</p>
          <div className="mt-2 grid grid-cols-2 gap-2">
            {choices.map((choice, k) => (
              <Button key={choice.says} onClick={() => settle(choice)}>
                {choice.says} <kbd className="font-figure opacity-70">{k + 1}</kbd>
              </Button>
            ))}
          </div>
          <Button look="bare" className="mt-1" onClick={() => settle(null)}>
            Leave it open <kbd className="font-figure opacity-70">0</kbd>
          </Button>
        </div>
      )}
      {proposal && !question && now.state === 'there' && (
        <p className="mt-3 text-soft">
          {asked.length >= MOST_QUESTIONS || asked.length > 0 ? 'No more questions.' : 'There is nothing to ask about.'}
        </p>
      )}
      <div className="mt-4 flex gap-2 border-t border-rule pt-3">
        <Button look="strong" className="flex-1" disabled={!proposal || proposal.guesses.length === 0} onClick={keep}>
          {proposal ? `Keep these ${proposal.guesses.length}` : 'Keep these'}
        </Button>
        <Button onClick={onLeave}>Keep none</Button>
      </div>
    </Section>
  );
}

function asks(question: Question): string {
  if (question.kind === 'what') return 'What is the dark area?';
  if (question.kind === 'together') return 'Are the dark part and the grey part one thing?';
  return 'Which lies in front, the dark part or the grey part?';
}

function choicesOf({ guesses }: Proposal, question: Question): Choice[] {
  if (question.kind === 'what') {
    const { regionIds } = guesses[question.group]!;
    // What a wide area most often is; the rest can be said later.
    return MATERIALS.flatMap((material) => (material.wide === undefined ? [] : [{ ...material, wide: material.wide }]))
      .sort((p, q) => p.wide - q.wide)
      .map(({ id, name }) => ({ says: name, answer: { kind: 'what', regionIds, material: id } }));
  }
  const [a, b] = [guesses[question.a]!.regionIds[0]!, guesses[question.b]!.regionIds[0]!];
  if (question.kind === 'together') {
    return [
      { says: 'One thing', answer: { kind: 'together', a, b, yes: true } },
      { says: 'Two things', answer: { kind: 'together', a, b, yes: false } },
    ];
  }
  return [
    { says: 'The dark one', answer: { kind: 'front', front: a, behind: b } },
    { says: 'The grey one', answer: { kind: 'front', front: b, behind: a } },
  ];
}
