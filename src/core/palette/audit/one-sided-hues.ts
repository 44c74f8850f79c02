import { placeOn, turn } from '../../colour/index.ts';
import { type Check, GREY, accentsOf, codesOf, off, pencilsAt, rulingHue } from './view.ts';

/** Hues within so many degrees of the ruling one count as its neighbours. */
const NEIGHBOURS = 62;
/** So much of what has a hue lies there when a page has only one side of the wheel, and at least so much has a hue. */
const NEARLY_ALL = 0.97;
const LEAST_HUED = 0.25;
/** Schemes that want it so. */
const WANTED = ['one-hue', 'analogous'];
/** A thing up to this share of the area can carry an accent. */
const SMALL = 0.06;

/** Everything on one side of the wheel, with no voice against it. */
export const oneSidedHues: Check = {
  id: 'one-sided-hues',
  name: 'hues of one side only',
  look(view) {
    const { seen, wheel, open, scheme } = view;
    const hued = seen.filter(({ chroma }) => chroma >= GREY);
    const share = hued.reduce((sum, thing) => sum + thing.share, 0);
    if (WANTED.includes(scheme) || share < LEAST_HUED || seen.length < 3 || accentsOf(view).length > 0) return [];
    const { angle } = rulingHue(seen);
    const near = hued.filter((thing) => off(thing.angle, angle) <= NEIGHBOURS);
    if (near.reduce((sum, thing) => sum + thing.share, 0) < NEARLY_ALL * share) return [];
    const names = [...new Set(near.sort((p, q) => q.share - p.share).map((thing) => placeOn(wheel, thing.angle).name))];
    const opposite = turn(angle + 180);
    const angles = [opposite, turn(opposite - 30), turn(opposite + 30)];
    const pencils = pencilsAt(view, angles, []);
    const carriers = [
      ...open.filter(({ natural }) => !natural),
      ...seen.filter((t) => !t.natural && !t.laid && t.share < SMALL),
    ];
    const carrier = carriers.at(0);
    return [
      {
        kind: 'one-sided-hues',
        things: near.map(({ id }) => id),
        sentence: `Everything that has a hue is ${listed(names.slice(0, 3))}; nothing stands against it.`,
        remedy: {
          sentence:
            `Its opposite is ${placeOn(wheel, opposite).name}; either side of that is gentler; ${codesOf(pencils)}.` +
            (carrier ? ` ${carrier.name} could carry it.` : ''),
          angles,
          pencils: pencils.map(({ id }) => id),
        },
        weight: 0.8,
      },
    ];
  },
};

function listed(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}
