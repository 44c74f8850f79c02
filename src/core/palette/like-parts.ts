import { type PageThing, type Pinned } from './page.ts';

/** What tells one of two like parts from the other, and says nothing of what it is. */
const SIDES = /\b(left|right|upper|lower|top|bottom|middle|centre|inner|outer|first|second|third|[\divx]+)\b/g;

/** What a part is called beside its side and number: "left sconce" and "right sconce (2)" are both "sconce". */
function stemOf(name: string): string {
  return name
    .toLowerCase()
    .replace(SIDES, ' ')
    .replace(/[^\p{L}]+/gu, ' ')
    .trim();
}

/** Places of the parts that are one thing several times: alike in shape, of one nature, and called the same but for their side. */
export function likeParts(things: readonly PageThing[]): number[][] {
  const groups = new Map<string, number[]>();
  things.forEach(({ alike, kind, natural, focus, name }, i) => {
    if (alike === null) return;
    const key = JSON.stringify([alike, kind ?? null, natural, focus, stemOf(name)]);
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  return [...groups.values()].filter((places) => places.length > 1);
}

/** The families that are decided on, with those of parts that are like one of them: what is decided for one holds for all. */
export function withLikeParts(pinned: Pinned, things: readonly PageThing[]): Pinned {
  const followed = likeParts(things).flatMap((parts) => {
    const model = parts.find((i) => pinned[things[i]!.id]);
    return model === undefined ? [] : parts.map((i) => [things[i]!.id, pinned[things[model]!.id]!] as const);
  });
  return { ...Object.fromEntries(followed), ...pinned };
}
