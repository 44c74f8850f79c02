import { useCallback, useMemo, useState } from 'react';
import { isHere } from '../../contracts/index.ts';
import { type Lab, placeOn, turn, turnBetween, wheelById } from '../../core/colour/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type PageSummary, handsOf, schemeById } from '../../core/palette/index.ts';
import { decide, thingsOf } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { SheetView } from '../desk/sheet-view.tsx';
import { useChosen } from '../desk/use-chosen.ts';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePickThing } from '../desk/use-pick-thing.ts';
import { usePreview } from '../desk/use-preview.ts';
import { Choice } from '../parts/index.ts';
import { PinnedBeside } from '../references/index.ts';
import { PointedPencil } from './pointed-pencil.tsx';
import { usePageMarks } from './use-page-colours.ts';
import { Wheel } from './wheel.tsx';

const ALL_LAYERS = {};

/** What the disc shows, and what its marks are. */
export interface ShownOnWheel {
  disc: 'passage' | 'rings';
  marks: 'pencils' | 'page';
}

interface Props {
  summary: PageSummary | null;
  colours: ReadonlyMap<string, Lab>;
  /** Places on the wheel that would help, degrees. */
  wanted: readonly number[];
  shown: ShownOnWheel;
  onShown(shown: ShownOnWheel): void;
}

/** The wheel with the scheme's hands, the pencil pointed at, and the page beside it. */
export function WheelAndSheet({ summary, colours, wanted, shown, onShown }: Props) {
  const { sheet, pencils, paperModel, laid, recipes } = useDesk();
  const { wheel: own, page } = sheet.plan;
  const change = usePlanChange(sheet.id, 'wheel');
  const { regionIds: chosen, thingId } = useChosen();
  const lit = useLitRegions();
  const preview = usePreview(ALL_LAYERS);
  const { disc, marks } = shown;
  const [pointed, setPointed] = useState<string | null>(null);
  const pick = usePickThing();
  const pageMarks = usePageMarks(summary, colours);
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
  return (
    <div className="relative flex min-h-0 flex-1 items-center">
      <div className="@container-size flex h-full min-w-0 flex-1 items-center justify-center">
        <Wheel
          paper={paperModel.paper}
          wheel={wheel}
          rings={disc === 'rings'}
          anchor={own.anchor}
          hands={hands.map((at) => turnBetween(own.anchor, at))}
          free={schemeById(own.scheme).byHand ?? false}
          colours={marks === 'page' ? pageMarks : null}
          wanted={wanted}
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
            onChange={(next) => onShown({ disc: next, marks })}
          />
          <Choice<'pencils' | 'page'>
            label="Marks are"
            value={marks}
            options={[
              { value: 'pencils', label: 'pencils' },
              { value: 'page', label: 'the page' },
            ]}
            onChange={(next) => onShown({ disc, marks: next })}
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
  );
}
