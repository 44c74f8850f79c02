import { isHere } from '../../contracts/index.ts';
import { type Lab } from '../../core/colour/index.ts';
import { type Audit, type PageSummary } from '../../core/palette/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { pencilJobs, useAnswer } from '../workers/index.ts';

/** What there is to say of the page in these colours; null until it is worked out. */
export function useAudit(summary: PageSummary | null, colours: ReadonlyMap<string, Lab>): Audit | null {
  const { sheet, pencils, paperModel } = useDesk();
  const { wheel, scheme } = sheet.plan.wheel;
  const ask = () => {
    const here = pencils.filter(isHere).map(paperModel.trayPencil);
    return pencilJobs.start('audit', {
      page: summary!,
      colours,
      pencils: here,
      paper: paperModel.paper,
      wheel,
      scheme,
    });
  };
  return useAnswer(summary ? [ask] : [], [summary, colours, pencils, paperModel, wheel, scheme]).value;
}
