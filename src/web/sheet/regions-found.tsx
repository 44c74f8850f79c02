import { useAppDispatch } from '../app/store.ts';
import { chooseRegions } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { gapsOf } from './gaps.ts';
import { Button, Notice, Progress, Section, Why } from '../parts/index.ts';
import { type useRegionFinding } from './use-region-finding.ts';
import { thingsOf } from '../../plan/index.ts';

/** How finding the regions goes, and what was found. */
export function RegionsFound({
  finding,
  start,
  stop,
  onGaps,
  onWishes,
}: ReturnType<typeof useRegionFinding> & { onGaps(): void; onWishes(): void }) {
  const { page, sheet, grounds } = useDesk();
  const dispatch = useAppDispatch();
  const named = thingsOf(sheet.plan).reduce((sum, thing) => sum + thing.regionIds.length, 0);
  const unnamed = (page?.regions.length ?? 0) - named;
  const flecks = page?.doubts.filter(({ kind }) => kind === 'fleck').length ?? 0;
  const gaps = gapsOf(page?.doubts ?? []);
  const closed = gaps.filter((gap) => gap.closed).length;
  const open = gaps.length - closed;
  return (
    <Section
      title="Regions"
      aside={
        page && (
          <Why of="number of regions">
            {page.regions.length} closed white areas were found at {page.pixelsPerMm.toFixed(1)} pixels per mm. Areas
            under {sheet.plan.finding.minRegionMm2} mm² are left out: {flecks}{' '}
            {flecks === 1 ? 'fleck was' : 'flecks were'}.
            {closed > 0 &&
              ` ${closed} ${closed === 1 ? 'gap' : 'gaps'} in the outlines ${closed === 1 ? 'was' : 'were'} closed.`}{' '}
            The margin around the drawing is no region.
          </Why>
        )
      }
    >
      {finding.state === 'working' && <Progress share={finding.share} doing={`${finding.doing} …`} onCancel={stop} />}
      {finding.state === 'keeping' && <Progress share={0.97} doing="keeping the regions …" />}
      {finding.state === 'stopped' && (
        <div className="flex items-center justify-between gap-3">
          <p>Stopped. No regions are known yet.</p>
          <Button look="strong" onClick={start}>
            Find regions
          </Button>
        </div>
      )}
      {finding.state === 'refused' && (
        <>
          <Notice kind="refused">{finding.sentence}</Notice>
          <Button className="mt-2" onClick={start}>
            Try again
          </Button>
        </>
      )}
      {page && finding.state === 'idle' && (
        <p>
          <strong className="font-figure text-2xl">{page.regions.length}</strong> found,{' '}
          {unnamed === 0 ? 'every one of them in a thing.' : `${unnamed} of them in no thing yet.`}
        </p>
      )}
      {page && finding.state === 'idle' && grounds.size > 0 && (
        <p className="mt-1 text-[0.95rem]">
          {grounds.size} {grounds.size === 1 ? 'is' : 'are'} not bare.{' '}
          <button
            type="button"
            className="underline decoration-rule underline-offset-4"
            onClick={() => dispatch(chooseRegions([...grounds.keys()]))}
          >
            Choose {grounds.size === 1 ? 'it' : 'them'}
          </button>
        </p>
      )}
      {page && finding.state === 'idle' && (
        <div className="-mx-3 flex flex-wrap">
          <Button look="bare" onClick={onGaps} disabled={gaps.length === 0}>
            {gaps.length === 0
              ? 'No gaps'
              : `Look at ${gaps.length} ${gaps.length === 1 ? 'gap' : 'gaps'}, ${open} open`}
          </Button>
          <Button look="bare" onClick={onWishes}>
            Find them differently
          </Button>
        </div>
      )}
    </Section>
  );
}
