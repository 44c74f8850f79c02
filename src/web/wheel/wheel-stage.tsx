import { useState } from 'react';
import { type Finding, type Proposal } from '../../core/palette/index.ts';
import { Frame } from '../desk/frame.tsx';
import { HoursSection } from '../desk/hours-section.tsx';
import { useChosen } from '../desk/use-chosen.ts';
import { Choice } from '../parts/index.ts';
import { Families } from './families.tsx';
import { Findings } from './findings.tsx';
import { Judge } from './judge.tsx';
import { Proposals } from './proposals.tsx';
import { SavedPalettes } from './saved-palettes.tsx';
import { SchemeSection } from './scheme.tsx';
import { useAudit } from './use-audit.ts';
import { usePageColours, usePageSummary } from './use-page-colours.ts';
import { type ShownOnWheel, WheelAndSheet } from './wheel-and-sheet.tsx';
import { WishesSection } from './wishes.tsx';

const NONE: readonly number[] = [];

/** The Wheel stage: the scheme on the wheel, wishes, palettes for the whole page, what there is to say of it, and each thing's family. */
export function WheelStage() {
  const { regionIds: chosen } = useChosen();
  const [centre, setCentre] = useState<'wheel' | 'judge'>('wheel');
  const [shown, setShown] = useState<ShownOnWheel>({ disc: 'passage', marks: 'pencils' });
  const [finding, setFinding] = useState<Finding | null>(null);
  const [compared, setCompared] = useState<Proposal | null>(null);
  const summary = usePageSummary();
  const colours = usePageColours(summary);
  const audit = useAudit(summary, colours);
  const compare = (proposal: Proposal | null) => {
    setCompared(proposal);
    if (proposal) setCentre('judge');
  };
  return (
    <Frame
      title="Wheel"
      centre={
        <div className="relative flex h-full flex-col">
          <div className="absolute top-3 right-4 z-10 w-64 max-xl:w-48">
            <Choice<'wheel' | 'judge'>
              label="In the middle"
              value={centre}
              options={[
                { value: 'wheel', label: 'Wheel' },
                { value: 'judge', label: 'Judge' },
              ]}
              onChange={setCentre}
            />
          </div>
          {centre === 'judge' ? (
            <Judge summary={summary} colours={colours} compared={compared} chosen={chosen} />
          ) : (
            <WheelAndSheet
              summary={summary}
              colours={colours}
              wanted={finding?.remedy.angles ?? NONE}
              shown={shown}
              onShown={setShown}
            />
          )}
        </div>
      }
      side={
        <>
          <SchemeSection />
          <WishesSection />
          <Proposals summary={summary} compared={compared?.name ?? null} onCompare={compare} />
          <HoursSection />
          <Findings audit={audit} summary={summary} shown={finding} onShow={setFinding} />
          <Families summary={summary} colours={colours} />
          <SavedPalettes />
        </>
      }
    />
  );
}
