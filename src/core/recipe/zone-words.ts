import { type Field } from '../light/index.ts';
import type { Span, Zone } from './schemas.ts';

/** What the two ends of each field are called. */
export const FIELD_ENDS: Record<Field, readonly [string, string]> = {
  tone: ['shadow', 'highlight'],
  glow: ['out of reach', 'beside the light'],
  lit: ['not lit', 'facing the light'],
  shadow: ['no cast shadow', 'deepest cast shadow'],
  along: ['top', 'foot'],
  out: ['middle', 'outermost'],
  turn: ['facing away', 'facing the light'],
  reflect: ['nothing arrives', 'all arrives'],
};

/** Which part of a shape a zone covers, in words. */
export function zoneWords({ and, ...span }: Zone): string {
  const own = spanWords(span);
  if (!and) return own;
  const other = spanWords(and);
  return own === ALL_OVER ? other : `${own}; ${other}`;
}

const ALL_OVER = 'all over';

function spanWords(span: Span): string {
  if (span.from <= 0 && span.to >= 1) return ALL_OVER;
  return WORDS[span.field](span);
}

/** Tones up to which it is deepest shadow, and shadow; from which it is beside the highlight; and a narrow band's width. */
const TONES = { deepest: 0.25, shadow: 0.5, nearHighlight: 0.6, pastDeepest: 0.2, narrow: 0.2 };
/** Turnings up to which a surface faces away from the light, and from which it faces it. */
const TURNED = { away: 0.3, towards: 0.65 };

const WORDS: Record<Field, (span: Span) => string> = {
  tone: ({ from, to }) => {
    if (from > TONES.pastDeepest && to - from <= TONES.narrow)
      return from > TONES.nearHighlight ? 'a narrow band beside the highlight' : 'a narrow band';
    if (from <= 0 && to < TONES.deepest) return 'only the deepest shadow';
    if (from <= 0) return to < TONES.shadow ? 'the shadow' : 'shadow and middle, not the light';
    const light = to >= 1 ? '' : ', up to the highlight';
    return from < TONES.pastDeepest ? `all but the deepest shadow${light}` : `from the middle into the light${light}`;
  },
  glow: ({ from, to, overMm }) => {
    const away = (share: number) => mm((1 - share) * overMm);
    if (from <= 0) return `further than ${away(to)} from the light`;
    return to >= 1 ? `within ${away(from)} of the light` : `a ring from ${away(to)} to ${away(from)} round the light`;
  },
  lit: ({ from }) =>
    from > 0 ? 'where it faces the light, less with the way from it' : 'where the light does not reach',
  shadow: ({ from }) => (from > 0 ? 'in cast shadows' : 'outside the deepest cast shadow'),
  along: ({ from, to, overMm }) => {
    if (from <= 0) return `down to ${mm(to * overMm)} from the top`;
    return to >= 1
      ? `from ${mm(from * overMm)} down to the foot`
      : `from ${mm(from * overMm)} to ${mm(to * overMm)} down`;
  },
  out: ({ from, to, overMm }) => {
    if (from <= 0) return `up to ${mm(to * overMm)} from the middle`;
    return to >= 1
      ? `beyond ${mm(from * overMm)} from the middle`
      : `from ${mm(from * overMm)} to ${mm(to * overMm)} out`;
  },
  turn: ({ from, to }) => {
    if (to <= TURNED.away) return 'where it faces away from the light';
    return from >= TURNED.towards ? 'where it faces the light' : 'where it faces neither to the light nor away';
  },
  reflect: () => 'where the neighbour’s colour arrives',
};

function mm(value: number): string {
  return `${value < 10 ? value.toFixed(1) : value.toFixed(0)} mm`;
}

/** A zone's interval as mm on the shapes that it was fitted to, from the end of its field. */
export function zoneMm({ field, from, to, overMm }: Span): string {
  const [low] = FIELD_ENDS[field];
  return `${mm(from * overMm)} to ${mm(to * overMm)} from “${low}”`;
}
