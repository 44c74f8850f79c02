import { useSearchParams } from 'react-router';
import { useBenchQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Failed, Waiting } from '../desk/failed.tsx';
import { useDesk } from '../desk/desk-context.ts';
import { AtTheTable } from './at-the-table.tsx';
import { PlanSittings } from './plan-sittings.tsx';

/** The Bench: the order of the steps, and, once sat down, one step at a time. */
export function BenchStage() {
  const { sheet } = useDesk();
  const { data: bench, error } = useBenchQuery(sheet.id);
  const [params, setParams] = useSearchParams();
  if (error) return <Failed sentence={sentenceOf(error)} />;
  if (!bench) return <Waiting doing="clearing the bench" />;
  if (bench.plan && params.has('sitting')) {
    return <AtTheTable plan={bench.plan} done={bench.done} onLeave={() => setParams({}, { replace: true })} />;
  }
  return <PlanSittings bench={bench} onSitDown={() => setParams({ sitting: '1' })} />;
}
