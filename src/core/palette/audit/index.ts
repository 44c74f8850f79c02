/** audit: what there is to say of a page as it stands or is planned. One file a check; to add one, write its file and list it here. */
import { type ColourWheel, type Lab } from '../../colour/index.ts';
import { type PencilOnPaper } from '../../tray/index.ts';
import { type PageSummary } from '../page.ts';
import { accentsAside } from './accents-aside.ts';
import { type Facts, factsOf } from './facts.ts';
import { loud } from './loud.ts';
import { oneSidedHues } from './one-sided-hues.ts';
import { sameness } from './sameness.ts';
import { sunk } from './sunk.ts';
import { unparted } from './unparted.ts';
import { type Check, type Finding, viewOf } from './view.ts';
import { weakFocus } from './weak-focus.ts';

export { type Facts } from './facts.ts';
export { type Finding } from './view.ts';

/** Every check of a page. */
export const CHECKS: readonly Check[] = [weakFocus, oneSidedHues, unparted, sunk, sameness, accentsAside, loud];

/** A page in numbers, and what there is to say of it, the weightiest first. */
export interface Audit {
  facts: Facts;
  findings: Finding[];
}

/**
 * Looks a page over, weighted by area.
 * @param colours the colour that each thing has on the paper or is planned to have, by id; others are still open
 * @param tray pencils on this paper, for remedies
 * @param scheme id of the scheme in use: one of a single side of the wheel is not told to be one-sided
 */
export function auditPage(
  page: PageSummary,
  colours: ReadonlyMap<string, Lab>,
  tray: readonly PencilOnPaper[],
  wheel: ColourWheel,
  scheme = '',
): Audit {
  const view = viewOf(page, colours, tray, wheel, scheme);
  const findings = CHECKS.flatMap((check) => check.look(view));
  return { facts: factsOf(view), findings: findings.sort((p, q) => q.weight - p.weight) };
}
