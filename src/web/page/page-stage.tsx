import { useState } from 'react';
import { paperById } from '../../core/laydown/index.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { chooseRegions, chooseThing, toggleRegion } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { useLitRegions } from '../desk/use-lit.ts';
import { PaperAndSize } from './paper-and-size.tsx';
import { RegionFacts } from './region-facts.tsx';
import { RegionsFound } from './regions-found.tsx';
import { Things } from './things.tsx';
import { useRegionFinding } from './use-region-finding.ts';

/** The Sheet stage: how large the page is and what it is printed on, which regions it has, and what they belong to. */
export function PageStage() {
  const { sheet, page } = useDesk();
  const dispatch = useAppDispatch();
  const { regionIds: chosen, thingId } = useAppSelector((state) => state.atTheDesk);
  const lit = useLitRegions();
  const [hovered, setHovered] = useState<number | null>(null);
  const [picked, setPicked] = useState<number | null>(null);
  const finding = useRegionFinding();
  const pick = (regionId: number | null, add: boolean) => {
    setPicked(regionId);
    if (regionId === null) dispatch(chooseRegions([]));
    else if (add) dispatch(toggleRegion(regionId));
    else {
      const thing = sheet.plan.things.find((each) => each.regionIds.includes(regionId));
      const alreadyThing = thing && chosen.length > 1 && chosen.includes(regionId);
      if (thing && !alreadyThing) dispatch(chooseThing(thing));
      else dispatch(chooseRegions([regionId]));
    }
  };
  const shown = hovered ?? (chosen.length === 1 ? chosen[0] : chosen.includes(picked ?? 0) ? picked : null);
  return (
    <Frame
      title="Sheet"
      centre={
        <SheetView
          selected={chosen}
          lit={lit}
          onPick={page ? pick : undefined}
          onHover={setHovered}
          paperTint={paperById(sheet.plan.page.paper).tint}
        />
      }
      side={
        <>
          <PaperAndSize />
          <RegionsFound {...finding} />
          {page && <RegionFacts regionId={shown} thingId={thingId} />}
          {page && <Things />}
        </>
      }
    />
  );
}
