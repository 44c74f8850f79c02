import { type Lab, wheelById } from '../../../core/colour/index.ts';
import { type PageSummary, auditPage } from '../../../core/palette/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { laidOn } from './pencil-optics.ts';

export interface AuditInput extends OnPaperInput {
  page: PageSummary;
  /** Colours of things by id. */
  colours: ReadonlyMap<string, Lab>;
  /** Ids of the wheel and the scheme. */
  wheel: string;
  scheme: string;
}

/** What there is to say of a page in these colours. */
export const audit: Job<AuditInput, ReturnType<typeof auditPage>> = {
  run: ({ page, colours, pencils, paper, wheel, scheme }) =>
    auditPage(page, colours, laidOn(paper, pencils), wheelById(wheel), scheme),
};
