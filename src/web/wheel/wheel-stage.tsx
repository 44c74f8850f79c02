import { isHere } from '../../contracts/index.ts';
import { useCallback, useMemo, useState } from 'react';
import { paperById } from '../../core/laydown/index.ts';
import { SCHEMES, schemeById } from '../../core/palette/index.ts';
import { placeAt } from '../../core/colour/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { Frame } from '../desk/frame.tsx';
import { PinnedBeside } from '../references/index.ts';
import { SheetView } from '../desk/sheet-view.tsx';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePickThing } from '../desk/use-pick-thing.ts';
import { usePreview } from '../desk/use-preview.ts';
import { Pick, Section } from '../parts/index.ts';
import { Families } from './families.tsx';
import { PointedPencil } from './pointed-pencil.tsx';
import { Proposals } from './proposals.tsx';
import { Wheel } from './wheel.tsx';

const ALL_LAYERS = {};

/** The Wheel stage: anchor and scheme on the wheel, palettes for the whole page, and each thing's family. */
export function WheelStage() {
  const { sheet, pencils, use, laid, recipes } = useDesk();
  const { wheel, page } = sheet.plan;
  const change = usePlanChange(sheet.id, 'wheel');
  const { regionIds: chosen, thingId } = useChosen();
  const lit = useLitRegions();
  const preview = usePreview(ALL_LAYERS);
  const [pointed, setPointed] = useState<string | null>(null);
  const turnTo = useCallback(
    (anchor: number) => void change(`turn the wheel to ${placeAt(anchor).name}`, { wheel: { ...wheel, anchor } }),
    [change, wheel],
  );
  const here = useMemo(() => pencils.filter(isHere), [pencils]);
  const inPlay = useMemo(
    () => new Set([...recipes.values()].flatMap((recipe) => recipe.layers.map((layer) => layer.pencil))),
    [recipes],
  );
  const pick = usePickThing();
  return (
    <Frame
      title="Wheel"
      centre={
        <div className="relative flex h-full items-center">
          <div className="@container-size flex h-full min-w-0 flex-1 items-center justify-center">
            <Wheel
              paper={use.paper}
              anchor={wheel.anchor}
              hands={schemeById(wheel.scheme).hands}
              pencils={here}
              laid={laid}
              inPlay={inPlay}
              onTurn={turnTo}
              onPencil={(pencil) => turnTo(Math.round(pencil.wheelAngle) % 360)}
              onPoint={setPointed}
            />
          </div>
          <div className="flex h-full w-68 shrink-0 flex-col pt-4 pr-4 max-xl:absolute max-xl:right-0 max-xl:bottom-0 max-xl:h-40 max-xl:w-40 max-xl:p-0">
            <PointedPencil pencilId={pointed} />
            <div className="max-xl:hidden">
              <PinnedBeside sheetId={sheet.id} thingId={thingId} things={sheet.plan.things} />
            </div>
            <div className="mt-auto h-68 max-xl:h-40">
              <SheetView
                under={preview}
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
      }
      side={
        <>
          <Section title="Scheme" aside={`anchor: ${placeAt(wheel.anchor).name}`}>
            <Pick
              label="Scheme"
              value={wheel.scheme}
              options={SCHEMES.map(({ id, name, says }) => ({ value: id, label: name, says }))}
              onChange={(scheme) => void change(`scheme ${schemeById(scheme).name}`, { wheel: { ...wheel, scheme } })}
            />
            <p className="mt-1.5 text-[0.95rem] text-soft">{schemeById(wheel.scheme).says}</p>
          </Section>
          <Proposals />
          <Families />
        </>
      }
    />
  );
}
