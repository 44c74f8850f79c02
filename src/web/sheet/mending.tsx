import { useMemo } from 'react';
import type { Mend, RegionUse } from '../../contracts/index.ts';
import { aboutRegion, addMends, sayOfRegions } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppDispatch } from '../app/store.ts';
import { chooseRegions } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button } from '../parts/index.ts';
import { halvingLine, joinsOf } from './mending-moves.ts';

/** What can be mended on the chosen regions, and what else has their shape. */
export function Mending({ regionIds, onLine }: { regionIds: readonly number[]; onLine(): void }) {
  const { sheet, page } = useDesk();
  const dispatch = useAppDispatch();
  const change = usePlanChange(sheet.id, 'sheet');
  const { plan } = sheet;
  const alike = useMemo(() => page?.alike.find((set) => set.includes(regionIds[0]!)), [page, regionIds]);
  const regions = regionIds.flatMap((id) => page?.regions[id - 1] ?? []);
  if (regions.length === 0) return null;
  const one = regions.length === 1;
  const these = one ? 'region' : `${regions.length} regions`;
  const mend = (label: string, mends: readonly Mend[]) => {
    dispatch(chooseRegions([]));
    void change(label, (draft) => addMends(draft, mends));
  };
  const use = (value: RegionUse | undefined, label: string) =>
    void change(label, (draft) => sayOfRegions(draft, regionIds, { use: value }));
  const usedAs = new Set(regionIds.map((id) => aboutRegion(plan, id).use));
  return (
    <div className="mt-1 -ml-2 flex flex-wrap border-t border-rule [&>button]:px-2" role="group" aria-label="Mend">
      {one && alike && (
        <Button look="bare" onClick={() => dispatch(chooseRegions(alike))}>
          All {alike.length} alike
        </Button>
      )}
      {!one && (
        <Button look="bare" onClick={() => mend(`join ${these}`, joinsOf(regions))}>
          Join them
        </Button>
      )}
      {one && (
        <>
          <Button look="bare" onClick={onLine}>
            Part by a line
          </Button>
          <Button
            look="bare"
            onClick={() => mend('halve a region', [{ kind: 'cut', points: halvingLine(page!.index, regions[0]!) }])}
          >
            Halve it
          </Button>
        </>
      )}
      {!usedAs.has('not to colour') && (
        <Button look="bare" onClick={() => use('not to colour', `${these} not to colour`)}>
          Not to colour
        </Button>
      )}
      {!usedAs.has('leave white') && (
        <Button look="bare" onClick={() => use('leave white', `leave ${these} white`)}>
          Leave white
        </Button>
      )}
      {(usedAs.has('not to colour') || usedAs.has('leave white')) && (
        <Button look="bare" onClick={() => use(undefined, `colour ${these} after all`)}>
          Colour after all
        </Button>
      )}
      <Button
        look="bare"
        onClick={() =>
          mend(
            `take ${these} out`,
            regions.map(({ pole }) => ({ kind: 'drop', at: pole })),
          )
        }
      >
        No region
      </Button>
    </div>
  );
}
