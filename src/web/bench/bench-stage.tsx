import { useSearchParams } from 'react-router';
import { useBenchQuery } from '../api/desk-api.ts';
import { whyNotShown } from '../api/sentence.ts';
import { Failed, Waiting } from '../desk/failed.tsx';
import { useDesk } from '../desk/desk-context.ts';
import { useWithWaiting } from './table-log.ts';
import { PlanSittings } from './plan-sittings.tsx';
import { AtTheTable } from './table/index.ts';

/** The Bench: the order of the steps, and, once sat down, one step at a time. */
export function BenchStage() {
  const { sheet } = useDesk();
  const { data, error } = useBenchQuery(sheet.id, { refetchOnMountOrArgChange: true });
  const { bench, away, isKept, waits } = useWithWaiting(sheet.id, data);
  const [params, setParams] = useSearchParams();
  if (error && !bench) return <Failed sentence={whyNotShown(error)} />;
  if (!bench) return <Waiting doing="clearing the bench" />;
  if (bench.plan && params.has('sitting')) {
    return (
      <AtTheTable
        bench={bench}
        away={away}
        waits={waits}
        isKept={isKept}
        benchPlan={bench.plan}
        onLeave={() => setParams({}, { replace: true })}
      />
    );
  }
  return <PlanSittings bench={bench} onSitDown={() => setParams({ sitting: '1' })} />;
}
