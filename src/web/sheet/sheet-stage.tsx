import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { RegionGround } from '../../contracts/index.ts';
import { type PointMm } from '../../core/lineart/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { useAppDispatch } from '../app/store.ts';
import { chooseRegions, chooseThing, pointAtRegion, toggleRegion } from '../desk/at-the-desk.ts';
import { backToSheet } from '../desk/back-to-sheet.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { useRegionPicture } from '../desk/use-light-pictures.ts';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { PinnedPictures } from '../references/index.ts';
import { GuessThings } from './guess-things.tsx';
import { SettleGaps } from './settle-gaps.tsx';
import { KeptAside } from './kept-aside.tsx';
import { KnownLength } from './known-length.tsx';
import { Mending } from './mending.tsx';
import { withinRegion } from './mending-moves.ts';
import { PaperAndSize } from './paper-and-size.tsx';
import { RegionFacts } from './region-facts.tsx';
import { RegionGrounds } from './region-ground.tsx';
import { RegionsFound } from './regions-found.tsx';
import { Things } from './things.tsx';
import { Wishes } from './wishes.tsx';
import { useRegionFinding } from './use-region-finding.ts';
import { addMends, thingsOf } from '../../plan/index.ts';

/** The Sheet stage: how large the page is and what it is printed on, which regions it has, and what they belong to. */
export function SheetStage() {
  const { sheet, page, grounds } = useDesk();
  const dispatch = useAppDispatch();
  const { regionIds: chosen, thingId } = useChosen();
  const lit = useLitRegions();
  const [picked, setPicked] = useState<number | null>(null);
  const finding = useRegionFinding();
  const change = usePlanChange(sheet.id, 'sheet');
  const [doing, setDoing] = useState<'all' | 'gaps' | 'wishes' | 'line' | 'guesses' | 'length'>('all');
  const [shades, setShades] = useState<Uint8Array | null>(null);
  const seen = useMemo(() => coloursOf(grounds, page?.regions.length ?? 0), [grounds, page]);
  const under = useRegionPicture(doing === 'guesses' ? shades : seen);
  const [measured, setMeasured] = useState<readonly { x: number; y: number }[] | null>(null);
  const [lookedAt, setLookedAt] = useState<PointMm | null>(null);
  const leave = () => {
    setDoing('all');
    setMeasured(null);
    setLookedAt(null);
    backToSheet();
  };
  const pick = (regionId: number | null, add: boolean) => {
    setPicked(regionId);
    if (regionId === null) dispatch(chooseRegions([]));
    else if (add) dispatch(toggleRegion(regionId));
    else {
      const thing = thingsOf(sheet.plan).find((each) => each.regionIds.includes(regionId));
      // A second click goes from the thing to the region.
      if (thing && thing.id !== thingId) dispatch(chooseThing(thing));
      else dispatch(chooseRegions([regionId]));
    }
  };
  // Of a thing with one region only, the thing is what can be decided about.
  const chosenOne = chosen.length === 1 ? (thingId ? null : chosen[0]!) : chosen.includes(picked ?? 0) ? picked : null;
  return (
    <Frame
      title="Sheet"
      centre={
        <SheetView
          under={under}
          selected={doing === 'guesses' ? [] : chosen}
          lit={lit}
          onPick={pick}
          onHover={(id) => dispatch(pointAtRegion(id))}
          onGather={(ids, add) => dispatch(chooseRegions(add ? [...new Set([...chosen, ...ids])] : [...ids]))}
          line={
            doing === 'line'
              ? {
                  asks: 'Set points across the region, from outline to outline.',
                  does: 'Part along it',
                  onDrawn: (points) => {
                    const cuts = page ? withinRegion(page.index, chosen[0]!, points) : [];
                    if (cuts.length === 0) return void toast('This line does not run through the region.');
                    dispatch(chooseRegions([]));
                    void change('part a region by a line', (plan) => addMends(plan, cuts));
                    leave();
                  },
                  onLeave: leave,
                }
              : doing === 'length' && !measured
                ? {
                    asks: 'Set the two ends of the length.',
                    does: 'This length',
                    most: 2,
                    onDrawn: setMeasured,
                    onLeave: leave,
                  }
                : null
          }
          ring={lookedAt}
          paperTint={paperById(sheet.plan.page.paper).tint}
        />
      }
      side={
        doing === 'gaps' && page ? (
          <SettleGaps onLeave={leave} onLook={setLookedAt} />
        ) : doing === 'guesses' && page ? (
          <GuessThings onLeave={leave} onShades={setShades} />
        ) : doing === 'length' ? (
          <KnownLength line={measured} onLeave={leave} />
        ) : doing === 'wishes' ? (
          <Wishes onLeave={leave} />
        ) : (
          <>
            <PaperAndSize
              settled={chosen.length > 0 || thingsOf(sheet.plan).length > 0}
              onLength={() => setDoing('length')}
            />
            <RegionsFound {...finding} onGaps={() => setDoing('gaps')} onWishes={() => setDoing('wishes')} />
            {page && (
              <div className="shrink-0 border-t border-rule py-3">
                <RegionFacts chosenId={chosenOne} regionIds={chosen} thingId={thingId} />
                {chosen.length > 0 && !thingId && <RegionGrounds key={chosen.join()} regionIds={chosen} />}
                {chosen.length > 0 && !thingId && <Mending regionIds={chosen} onLine={() => setDoing('line')} />}
              </div>
            )}
            {page && <KeptAside />}
            {page && <Things onGuess={() => setDoing('guesses')} />}
            {page && (
              <PinnedPictures
                sheetId={sheet.id}
                things={thingsOf(sheet.plan)}
                thing={thingsOf(sheet.plan).find(({ id }) => id === thingId) ?? null}
              />
            )}
          </>
        )
      }
    />
  );
}

/** The colours that lie on the page already, four bytes by region id; null where all is bare. */
function coloursOf(grounds: ReadonlyMap<number, RegionGround>, regions: number): Uint8Array | null {
  if (grounds.size === 0) return null;
  const rgba = new Uint8Array(4 * (regions + 1));
  for (const [id, { colour }] of grounds) {
    const value = parseInt(colour.slice(1), 16);
    rgba.set([value >> 16, (value >> 8) & 255, value & 255, 255], 4 * id);
  }
  return rgba;
}
