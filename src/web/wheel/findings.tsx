import clsx from 'clsx';
import { useState } from 'react';
import { type Audit, type Finding, type PageSummary } from '../../core/palette/index.ts';
import { useAppDispatch } from '../app/store.ts';
import { chooseRegions } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Laydown, Section, Why } from '../parts/index.ts';
import { thingsOf } from '../../plan/index.ts';

/** So many findings are shown before the rest is asked for. */
const FIRST = 3;

/** What there is to say of the page as it stands or is planned: each finding shows its things and what would help. */
export function Findings({
  audit,
  summary,
  shown,
  onShow,
}: {
  audit: Audit | null;
  summary: PageSummary | null;
  shown: Finding | null;
  onShow(finding: Finding | null): void;
}) {
  const { sheet, pencilById, paperModel } = useDesk();
  const dispatch = useAppDispatch();
  const [all, setAll] = useState(false);
  if (!audit || !summary) return null;
  const { facts, findings } = audit;
  const regionsOf = (ids: readonly string[]) =>
    thingsOf(sheet.plan)
      .filter(({ id }) => ids.includes(id))
      .flatMap(({ regionIds }) => regionIds);
  const look = (finding: Finding) => {
    const open = shown?.sentence === finding.sentence;
    onShow(open ? null : finding);
    dispatch(chooseRegions(open ? [] : regionsOf(finding.things)));
  };
  const visible = all ? findings : findings.slice(0, FIRST);
  return (
    <Section title="The page as it is planned" aside={<FactsWhy facts={facts} />}>
      {facts.coloured === 0 ? (
        <p className="text-[0.95rem] text-soft">
          Nothing has a colour yet. Take a palette, and what does not part is told here.
        </p>
      ) : (
        <p className="text-[0.95rem] text-soft">
          {facts.hues
            .slice(0, 3)
            .map(({ name, share }) => `${name} ${Math.round(100 * share)}%`)
            .join(', ')}
          ; {facts.warm === null ? 'no hue' : `${Math.round(100 * facts.warm)}% warm`}; L* {facts.value.dark.toFixed(0)}{' '}
          to {facts.value.light.toFixed(0)}.
        </p>
      )}
      {findings.length > 0 && (
        <ul className="mt-2 grid gap-1.5" aria-label="Findings">
          {visible.map((finding) => {
            const open = shown?.sentence === finding.sentence;
            return (
              <li
                key={finding.kind + finding.things.join()}
                className={clsx('border-l-4 bg-leaf', open ? 'border-ink' : 'border-rule')}
              >
                <button
                  type="button"
                  aria-expanded={open}
                  onClick={() => look(finding)}
                  className="w-full p-2 text-left text-[0.95rem] leading-snug"
                >
                  {finding.sentence}
                </button>
                {open && (
                  <div className="px-2 pb-2 text-[0.95rem] leading-snug">
                    <p>{finding.remedy.sentence}</p>
                    <ul className="mt-1.5 flex flex-wrap gap-2" aria-label="Pencils that would help">
                      {finding.remedy.pencils.flatMap((id) => {
                        const pencil = pencilById.get(id);
                        return pencil
                          ? [
                              <li key={id} className="text-center">
                                <Laydown pencil={pencil} paperModel={paperModel} width={84} height={26} />
                                <span className="block font-figure text-[0.8rem] font-bold">{pencil.code}</span>
                              </li>,
                            ]
                          : [];
                      })}
                    </ul>
                  </div>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {findings.length > FIRST && (
        <Button look="bare" className="mt-1 px-0!" onClick={() => setAll(!all)}>
          {all ? 'Fewer' : `${findings.length - FIRST} more`}
        </Button>
      )}
      {facts.coloured > 0 && findings.length === 0 && (
        <p className="mt-1 text-[0.95rem]">Nothing here runs together or falls out of balance.</p>
      )}
    </Section>
  );
}

function FactsWhy({ facts }: { facts: Audit['facts'] }) {
  const percent = (share: number) => `${Math.round(100 * share)}%`;
  return (
    <Why of="the page in numbers">
      By area of what has a colour ({percent(facts.coloured)} of the things’ area). Hues:{' '}
      {facts.hues.map(({ name, share }) => `${name} ${percent(share)}`).join(', ') || 'none'}; grey{' '}
      {percent(facts.grey)}. Chroma from {facts.chroma.quiet.toFixed(2)} to {facts.chroma.clear.toFixed(2)} (OKLCH).{' '}
      {facts.accents.length} accents stand away from the ruling hue. A twentieth of the area at each end is left out of
      both spans.
    </Why>
  );
}
