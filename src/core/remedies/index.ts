/** remedies: what can be done about a mistake, and what it comes to; one file a remedy, to add one list it here. */
import { deltaE2000 } from '../colour/index.ts';
import { layPasses } from '../laydown/index.ts';
import { adopt } from './adopt.ts';
import { hide } from './hide.ts';
import { layerOver } from './layer-over.ts';
import { lift } from './lift.ts';
import { type Advice, type Mistake, type Remedy } from './remedy.ts';

export { type MistakeKind, MISTAKES, mistakeById } from './mistakes/index.ts';
export { type Advice, type Deed, type Mistake, type Remedy } from './remedy.ts';
export { type Happened, mistakeAt } from './mistake-at.ts';
export const REMEDIES: readonly Remedy[] = [lift, layerOver, hide, adopt];

/** A colour that lies no further off than this is not worth mending, and no remedy that gains less, CIEDE2000. */
const UNSEEN = 2;
const GAINS = 1;

export interface Remedied {
  /** How far what lies there is from what should be seen, CIEDE2000. */
  apart: number;
  /** Whether nobody would see it. */
  isUnseen: boolean;
  /** What helps, the nearest first; leaving it and letting it look meant always comes last. None where nobody would see it. */
  remedies: (Advice & { id: string; name: string })[];
}

/** What can be done about a mistake, each way with how near it comes. */
export function remediesFor(mistake: Mistake): Remedied {
  const apart = deltaE2000(layPasses(mistake.now, []).lab, mistake.wanted);
  // What is too dark or patchy was seen by whoever says so, however little the model makes of it.
  const { isSeen } = mistake.kind;
  const isUnseen = apart <= UNSEEN && !isSeen;
  const enough = apart - (isSeen ? 0 : GAINS);
  const remedies = (isUnseen ? [] : REMEDIES).flatMap(({ id, name, advise }) => {
    const advice = advise(mistake);
    return advice && (id === adopt.id || advice.apart < enough) ? [{ id, name, ...advice }] : [];
  });
  const rank = ({ id, apart: left }: (typeof remedies)[number]) => (id === adopt.id ? Infinity : left);
  return { apart, isUnseen, remedies: remedies.sort((p, q) => rank(p) - rank(q)) };
}
