import type { Pencil, Plan, Texture, Thing } from '../../contracts/index.ts';
import { isWarm, labOfHex, oklchOfLab, wheelOfHue } from '../../core/colour/index.ts';
import { bareGround, layPasses, pencilOptics, pencilTypeById } from '../../core/laydown/index.ts';
import { type Region } from '../../core/lineart/index.ts';
import { type FormedThing, formById, materialOf } from '../../core/light/index.ts';
import { COVERING, type Family, type LightOnThing, type RegionContext, bodyOf } from '../../core/recipe/index.ts';
import { type PaperModel, paperModelOf } from '../../pencils/index.ts';
import { farOf } from './summarise-sheet.ts';
import { type PlannedRegion } from './things-in-light.ts';
import { aboutRegion, glowsOf, thingsOf } from '../select.ts';

/** The pencils that are here, by id. */
export type PencilsHere = ReadonlyMap<string, Pick<Pencil, 'id' | 'code' | 'colour' | 'type' | 'opacity'>>;

/** The paper that a sheet is coloured on, and its pencils as they are on it. */
export type LaidOn = Pick<PaperModel, 'paper' | 'trayPencil'>;

/** A white: L* and OKLCH chroma of its masstone. */
const WHITE = { value: 93, chroma: 0.02 };
/** Words in the name of a thing that say that it is lettering. */
const LETTERING = ['letter', 'letters', 'lettering', 'title', 'word', 'words', 'text', 'initial', 'motto', 'name'];
/** A thing in front hides a blend line if it is at least this wide beside the background. */
const HIDING_SHARE = 0.25;

interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** What the recipes of a page's things are fitted to. */
export class RecipeContexts {
  readonly #plan: Plan;
  readonly #regions: ReadonlyMap<string, readonly PlannedRegion[]>;
  readonly #formed: ReadonlyMap<string, FormedThing>;
  readonly #pencils: PencilsHere;
  readonly #boxes: ReadonlyMap<string, Box>;
  readonly #minor: ReadonlySet<string>;
  readonly #on: LaidOn;
  readonly #white: string | null;
  readonly #far: ReadonlyMap<string, number>;
  readonly #labs = new Map<string, ReturnType<NonNullable<RegionContext['labOf']>>>();

  constructor(
    plan: Plan,
    regions: ReadonlyMap<string, readonly PlannedRegion[]>,
    formed: readonly FormedThing[],
    pencils: PencilsHere,
    on: LaidOn = paperModelOf(plan.page.paper),
  ) {
    this.#plan = plan;
    this.#regions = regions;
    this.#formed = new Map(formed.map((thing) => [thing.id, thing]));
    this.#pencils = pencils;
    this.#boxes = new Map([...regions].flatMap(([id, own]) => (own.length > 0 ? [[id, boxOf(own)] as const] : [])));
    this.#minor = new Set(
      thingsOf(plan).flatMap(({ id, importance, focus }) => (importance === 'little' && !focus ? [id] : [])),
    );
    this.#on = on;
    this.#far = farOf(plan);
    this.#white = whiteIn(pencils);
  }

  /** What a thing's recipe is fitted to; the thing has regions. */
  forThing(id: string): RegionContext {
    const { top, bottom, left, right } = this.#boxes.get(id)!;
    const form = this.#formed.get(id)?.form;
    const glow = this.#glowOn(id);
    return {
      regions: this.#regions.get(id)!,
      minor: this.#minor.has(id),
      heightMm: bottom - top,
      outMm: Math.max(right - left, bottom - top) / 2,
      far: this.#far.get(id),
      form,
      limbBehind: this.#limbBehind(id),
      lettering: this.#letteringBefore(id),
      marks: this.#marksIn(id),
      palest: form ? (formById(form).palest ?? 'foot') : 'foot',
      crossings: this.#crossings(id),
      ...(glow && { glow: { reachMm: glow.reachMm, pencil: glow.pencil, warm: glow.warm } }),
      directLight: this.#plan.light.kind === 'direction',
      shown: this.#shownIn(id),
      labOf: (pencil) => this.#labOf(pencil),
      typeOf: (pencil) => this.#pencils.get(pencil)?.type,
      opacityOf: (pencil) => opacityIn(this.#pencils.get(pencil)),
      paperValue: labOfHex(this.#on.paper.tint)[0],
      white: this.#white,
    };
  }

  /** What light does to a thing, as far as its effect depends on it. */
  litOf(id: string): LightOnThing {
    const glow = this.#glowOn(id);
    const { form, material } = this.#formed.get(id) ?? { form: undefined, material: null };
    return {
      glow: glow && { warm: glow.warm, share: glow.share },
      backlit: this.#plan.light.kind === 'behind' && !materialOf(material)?.background,
      form,
    };
  }

  /** What a thing is a limb of: the larger one in front of it that it touches, of the same material and named alike. */
  #limbBehind(id: string): string | undefined {
    const things = thingsOf(this.#plan);
    const place = things.findIndex((thing) => thing.id === id);
    const own = things[place]!;
    const box = this.#boxes.get(id)!;
    const body = things.slice(0, place).find((thing) => {
      const other = this.#boxes.get(thing.id);
      const isOfOne = thing.material !== null && thing.material === own.material && headOf(thing) === headOf(own);
      return isOfOne && other && apart(box, other) === 0 && areaOf(other) > areaOf(box);
    });
    return body?.name;
  }

  /** Names of lettering that stands before a thing. */
  #letteringBefore(id: string): string[] {
    const own = this.#boxes.get(id)!;
    const things = thingsOf(this.#plan);
    return things
      .slice(
        0,
        Math.max(
          0,
          things.findIndex((thing) => thing.id === id),
        ),
      )
      .flatMap((thing) => {
        const box = this.#boxes.get(thing.id);
        const isLettering = thing.name
          .toLowerCase()
          .split(/[^a-z]+/)
          .some((word) => LETTERING.includes(word));
        return isLettering && box && apart(box, own) === 0 ? [thing.name] : [];
      });
  }

  /** What is to become of the artist's marks in most of a thing. */
  #marksIn(id: string): RegionContext['marks'] {
    const regions = this.#regions.get(id)!;
    const areaOf = (said: Texture | undefined) =>
      regions.reduce(
        (sum, region) => sum + (aboutRegion(this.#plan, region.id).texture === said ? region.areaMm2 : 0),
        0,
      );
    const [follow, ignore, unsaid] = [areaOf('follow'), areaOf('ignore'), areaOf(undefined)];
    if (Math.max(follow, ignore) < unsaid) return undefined;
    return follow >= ignore ? 'follow' : 'ignore';
  }

  /** The strongest glow that falls on a thing; none on what glows itself. */
  #glowOn(id: string) {
    const box = this.#boxes.get(id);
    if (!box || glowsOf(this.#plan).some(({ thingId }) => thingId === id)) return null;
    let most: { reachMm: number; pencil: string | null; warm: boolean; share: number } | null = null;
    for (const { thingId, at, reachMm, pencil: chosen } of glowsOf(this.#plan)) {
      const sources =
        thingId === null ? (at ? [pointBox(at)] : []) : (this.#regions.get(thingId) ?? []).map(({ box }) => box);
      const near = Math.min(Infinity, ...sources.map((source) => apart(source, box)));
      if (near >= reachMm) continue;
      const share = Math.min(1, (2 * reachMm) / Math.max(box.right - box.left, box.bottom - box.top, 1));
      if (most && most.share >= share) continue;
      const pencil = chosen ?? bodyIn(thingId === null ? null : this.#familyOf(thingId));
      most = {
        reachMm,
        share,
        pencil: pencil && this.#pencils.has(pencil) ? pencil : null,
        warm: this.#isWarm(pencil),
      };
    }
    return most;
  }

  #familyOf(thingId: string): Family | null {
    return this.#plan.things[thingId]?.family ?? null;
  }

  #isWarm(pencil: string | null): boolean {
    const colour = pencil ? this.#pencils.get(pencil)?.colour : undefined;
    return colour === undefined || isWarm(wheelOfHue(oklchOfLab(labOfHex(colour)).h));
  }

  #shownIn(id: string): NonNullable<RegionContext['shown']> {
    const names = new Map(thingsOf(this.#plan).map((thing) => [thing.id, thing.name]));
    return (this.#formed.get(id)?.sources ?? []).map(({ thingId }) => {
      const pencil = bodyIn(this.#familyOf(thingId));
      return { name: names.get(thingId) ?? '', pencil: pencil && this.#pencils.has(pencil) ? pencil : null };
    });
  }

  #crossings(id: string): number[] {
    const own = this.#boxes.get(id)!;
    const high = own.bottom - own.top;
    const place = thingsOf(this.#plan).findIndex((thing) => thing.id === id);
    return thingsOf(this.#plan)
      .slice(0, Math.max(0, place))
      .flatMap((thing) => {
        const box = this.#boxes.get(thing.id);
        if (!box || high <= 0) return [];
        const wide = Math.min(box.right, own.right) - Math.max(box.left, own.left);
        const at = ((box.top + box.bottom) / 2 - own.top) / high;
        return wide >= HIDING_SHARE * (own.right - own.left) && at > 0 && at < 1 ? [{ wide, at }] : [];
      })
      .sort((p, q) => q.wide - p.wide)
      .map(({ at }) => at);
  }

  #labOf(id: string) {
    const pencil = this.#pencils.get(id);
    if (!this.#labs.has(id) && pencil) {
      const optics = pencilOptics(this.#on.trayPencil(pencil));
      this.#labs.set(id, layPasses(bareGround(this.#on.paper), [{ pencil: optics, pressure: 'medium' }]).lab);
    }
    return this.#labs.get(id);
  }
}

/** The first word of a name of several: "Hare legs" and "Hare body" are parts of one. */
function headOf({ id, name }: Pick<Thing, 'id' | 'name'>): string {
  const [head, ...rest] = name.toLowerCase().split(/\s+/);
  return rest.length > 0 ? head! : id;
}

function areaOf({ left, top, right, bottom }: Box): number {
  return (right - left) * (bottom - top);
}

function bodyIn(family: Family | null): string | null {
  return family ? bodyOf(family) : null;
}

function opacityIn(pencil: Pick<Pencil, 'type' | 'opacity'> | undefined): number | undefined {
  return pencil && (pencil.opacity ?? pencilTypeById(pencil.type).opacity);
}

/** The palest white of a tray that covers. */
function whiteIn(pencils: PencilsHere): string | null {
  let white: { id: string; value: number } | null = null;
  for (const pencil of pencils.values()) {
    const { id, colour } = pencil;
    if (opacityIn(pencil)! < COVERING) continue;
    const lab = labOfHex(colour);
    if (lab[0] < WHITE.value || oklchOfLab(lab).c > WHITE.chroma || (white && white.value >= lab[0])) continue;
    white = { id, value: lab[0] };
  }
  return white?.id ?? null;
}

function boxOf(regions: readonly Region[]): Box {
  return {
    left: Math.min(...regions.map(({ box }) => box.left)),
    top: Math.min(...regions.map(({ box }) => box.top)),
    right: Math.max(...regions.map(({ box }) => box.right)),
    bottom: Math.max(...regions.map(({ box }) => box.bottom)),
  };
}

function pointBox({ x, y }: { x: number; y: number }): Box {
  return { left: x, right: x, top: y, bottom: y };
}

/** Millimetres between two boxes; 0 where they overlap. */
function apart(a: Box, b: Box): number {
  const dx = Math.max(0, a.left - b.right, b.left - a.right);
  const dy = Math.max(0, a.top - b.bottom, b.top - a.bottom);
  return Math.hypot(dx, dy);
}
