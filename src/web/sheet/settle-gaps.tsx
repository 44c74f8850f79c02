import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { PointMm } from '../../core/lineart/index.ts';
import { addMends } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section } from '../parts/index.ts';
import { GapPicture } from './gap-picture.tsx';
import { type Answer, gapsOf, mendsOf } from './gaps.ts';

/** Gaps in the outlines, one after the other, each with its picture: to be closed or left open by one key. */
export function SettleGaps({
  onLeave,
  onLook,
}: {
  onLeave(): void;
  /** Called with the place of the gap that is asked about, mm. */
  onLook(at: PointMm): void;
}) {
  const { sheet, page } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const gaps = useMemo(() => gapsOf(page?.doubts ?? []), [page]);
  const [at, setAt] = useState(0);
  const [answers, setAnswers] = useState<ReadonlyMap<number, Answer>>(new Map());
  const gap = gaps[at];
  useEffect(() => {
    if (gap) onLook(gap.at);
  }, [gap, onLook]);
  const answer = (value: Answer) => {
    setAnswers(new Map(answers).set(at, value));
    setAt(Math.min(gaps.length - 1, at + 1));
  };
  const mends = mendsOf(gaps, answers);
  const keep = () => {
    if (mends.length > 0) {
      const what = mends.length === 1 ? 'settle a gap' : `settle ${mends.length} gaps`;
      void change(what, (plan) => addMends(plan, mends));
    }
    onLeave();
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === 'c') answer('close');
      else if (event.key === 'o') answer('open');
      else if (event.key === 'ArrowRight') setAt(Math.min(gaps.length - 1, at + 1));
      else if (event.key === 'ArrowLeft') setAt(Math.max(0, at - 1));
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  if (!gap) {
    return (
      <Section title="Gaps in the outlines" onEscape={onLeave}>
        <p>No outline gapes on this page.</p>
        <Button className="mt-3" onClick={onLeave}>
          Back
        </Button>
      </Section>
    );
  }
  const given = answers.get(at) ?? (gap.closed ? 'close' : undefined);
  return (
    <Section title="Gaps in the outlines" aside={`${at + 1} of ${gaps.length}`} onEscape={keep}>
      <GapPicture gap={gap} closed={given === 'close'} />
      <p className="mt-2" aria-live="polite">
        {gap.closed
          ? `The outline gapes by ${gap.gapeMm.toFixed(1)} mm here; it was taken as closed.`
          : `A line stops ${gap.gapeMm.toFixed(1)} mm short here. Does it part two regions, or is it the artist's stroke?`}
      </p>
      <div className="mt-3 grid grid-cols-2 gap-2">
        <Button
          look={given === 'close' ? 'strong' : 'plain'}
          aria-pressed={given === 'close'}
          onClick={() => answer('close')}
        >
          Close it <kbd className="font-figure opacity-70">C</kbd>
        </Button>
        <Button
          look={given === 'open' ? 'strong' : 'plain'}
          aria-pressed={given === 'open'}
          onClick={() => answer('open')}
        >
          Leave it open <kbd className="font-figure opacity-70">O</kbd>
        </Button>
      </div>
      <div className="mt-2 flex items-center justify-between">
        <Button look="bare" disabled={at === 0} onClick={() => setAt(at - 1)}>
          <ArrowLeft size={16} aria-hidden /> One back
        </Button>
        <Button look="bare" disabled={at === gaps.length - 1} onClick={() => setAt(at + 1)}>
          Next <ArrowRight size={16} aria-hidden />
        </Button>
      </div>
      <div className="mt-4 flex gap-2 border-t border-rule pt-3">
        <Button look="strong" className="flex-1" onClick={keep}>
          {mends.length === 0 ? 'Done' : mends.length === 1 ? 'Keep this answer' : `Keep ${mends.length} answers`}
        </Button>
        <Button onClick={onLeave}>Leave all as they are</Button>
      </div>
    </Section>
  );
}
