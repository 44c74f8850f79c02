import { useCallback, useMemo, useState } from 'react';
import { isHere } from '../../contracts/index.ts';
import { type Lab, oklchOfLab, placeOn, turn, turnBetween, wheelById } from '../../core/colour/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type Finding, type Proposal, handsOf } from '../../core/palette/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { useChosen } from '../desk/use-chosen.ts';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePickThing } from '../desk/use-pick-thing.ts';
import { usePreview } from '../desk/use-preview.ts';
import { Choice } from '../parts/index.ts';
import { PinnedBeside } from '../references/index.ts';
import { Families } from './families.tsx';
import { Findings } from './findings.tsx';
import { HoursSection } from '../desk/hours-section.tsx';
import { Judge } from './judge.tsx';
import { PointedPencil } from './pointed-pencil.tsx';
import { Proposals } from './proposals.tsx';
import { SavedPalettes } from './saved-palettes.tsx';
import { SchemeSection } from './scheme.tsx';
import { useAudit } from './use-audit.ts';
import { usePageColours, usePageSummary } from './use-page-colours.ts';
import { type PageColour, Wheel } from './wheel.tsx';
import { WishesSection } from './wishes.tsx';
import { decide, thingsOf } from '../../plan/index.ts';

const ALL_LAYERS = {};
const NONE: readonly number[] = [];

/** The Wheel stage: the scheme on the wheel, wishes, palettes for the whole page, what there is to say of it, and each thing's family. */
export function WheelStage() {
  const { sheet, pencils, use, laid, recipes } = useDesk();
  const { wheel: own, page } = sheet.plan;
  const change = usePlanChange(sheet.id, 'wheel');
  const { regionIds: chosen, thingId } = useChosen();
  const lit = useLitRegions();
  const preview = usePreview(ALL_LAYERS);
  const [centre, setCentre] = useState<'wheel' | 'judge'>('wheel');
  const [disc, setDisc] = useState<'passage' | 'rings'>('passage');
  const [marks, setMarks] = useState<'pencils' | 'page'>('pencils');
  const [pointed, setPointed] = useState<string | null>(null);
  const [finding, setFinding] = useState<Finding | null>(null);
  const [compared, setCompared] = useState<Proposal | null>(null);
  const summary = usePageSummary();
  const colours = usePageColours(summary);
  const audit = useAudit(summary, colours);
  const wheel = wheelById(own.wheel);
  const hands = handsOf(own.scheme, own.anchor, own.hands);
  const turnTo = useCallback(
    (anchor: number) =>
      void change(`turn the wheel to ${placeOn(wheelById(own.wheel), anchor).name}`, (plan) =>
        decide(plan, { wheel: { ...own, anchor } }),
      ),
    [change, own],
  );
  const turnHand = (index: number, offset: number) => {
    const offsets = hands.map((at, i) => (i === index ? Math.round(offset) : turnBetween(own.anchor, at)));
    void change(`turn hand ${index + 1} to ${placeOn(wheel, own.anchor + offset).name}`, (plan) =>
      decide(plan, { wheel: { ...own, hands: offsets } }),
    );
  };
  const here = useMemo(() => pencils.filter(isHere), [pencils]);
  const inPlay = useMemo(
    () => new Set([...recipes.values()].flatMap((recipe) => recipe.layers.map((layer) => layer.pencil))),
    [recipes],
  );
  const pick = usePickThing();
  const pageColours = useMemo(() => {
    const things = (summary?.things ?? []).filter(({ id }) => colours.has(id));
    const area = things.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) || 1;
    // Things of one colour are one mark.
    const byColour = new Map<string, { lab: Lab; share: number; names: string[] }>();
    for (const { id, name, areaMm2 } of things) {
      const lab = colours.get(id)!;
      const known = byColour.get(lab.join()) ?? { lab, share: 0, names: [] };
      byColour.set(lab.join(), { lab, share: known.share + areaMm2 / area, names: [...known.names, name] });
    }
    return [...byColour.values()]
      .map(({ lab, share, names }): PageColour => {
        const { c, h } = oklchOfLab(lab);
        return { lab, hue: h, chroma: c, share, says: `${names.join(', ')}: ${(100 * share).toFixed(1)}%` };
      })
      .sort((p, q) => q.share - p.share);
  }, [summary, colours]);
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
            <div className="relative flex min-h-0 flex-1 items-center">
              <div className="@container-size flex h-full min-w-0 flex-1 items-center justify-center">
                <Wheel
                  paper={use.paper}
                  wheel={wheel}
                  rings={disc === 'rings'}
                  anchor={own.anchor}
                  hands={hands.map((at) => turnBetween(own.anchor, at))}
                  free={own.scheme === 'free'}
                  colours={marks === 'page' ? pageColours : null}
                  wanted={finding?.remedy.angles ?? NONE}
                  pencils={here}
                  laid={laid}
                  inPlay={inPlay}
                  onTurn={turnTo}
                  onHand={turnHand}
                  onPencil={(pencil) => turnTo(Math.round(turn(wheel.angleOf(pencil.hue))) % 360)}
                  onPoint={setPointed}
                />
              </div>
              <div className="flex h-full w-68 shrink-0 flex-col gap-3 pt-18 pr-4 max-xl:absolute max-xl:right-0 max-xl:bottom-0 max-xl:h-40 max-xl:w-40 max-xl:p-0">
                <div className="grid gap-1.5 max-xl:hidden">
                  <Choice<'passage' | 'rings'>
                    label="The disc shows"
                    value={disc}
                    options={[
                      { value: 'passage', label: 'pale to full' },
                      { value: 'rings', label: 'rings' },
                    ]}
                    onChange={setDisc}
                  />
                  <Choice<'pencils' | 'page'>
                    label="Marks are"
                    value={marks}
                    options={[
                      { value: 'pencils', label: 'pencils' },
                      { value: 'page', label: 'the page' },
                    ]}
                    onChange={setMarks}
                  />
                </div>
                <PointedPencil pencilId={pointed} rings={disc === 'rings'} ofPage={marks === 'page'} />
                <div className="max-xl:hidden">
                  <PinnedBeside sheetId={sheet.id} thingId={thingId} things={thingsOf(sheet.plan)} />
                </div>
                <div className="mt-auto h-68 max-xl:h-40">
                  <SheetView
                    predicted={preview}
                    selected={chosen}
                    lit={lit}
                    onPick={pick}
                    paperTint={paperById(page.paper).tint}
                    fitKey="beside the wheel"
                    bare
                  />
                </div>
              </div>
            </div>
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
