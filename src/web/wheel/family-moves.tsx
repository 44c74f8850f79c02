import { ArrowDownToLine, Blend, Pin, Plus } from 'lucide-react';
import { toast } from 'sonner';
import { type Thing, isHere } from '../../contracts/index.ts';
import { type Lab } from '../../core/colour/index.ts';
import { type Family, EXTRAS, MOST_PENCILS } from '../../core/recipe/index.ts';
import { decideThing } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button } from '../parts/index.ts';
import { pencilJobs } from '../workers/index.ts';
import { byValue, offeredExtras } from './family-pencils.tsx';
import { type AboutFamily, type SetFamily } from './use-family.ts';

interface Props {
  thing: Thing;
  family: Family;
  known: AboutFamily | null;
  set: SetFamily;
}

/** What can be done with a family as a whole: one pencil more, the smoothest way, extras, and to pin it. */
export function FamilyMoves({ thing, family, known, set }: Props) {
  const { sheet, pencils, pencilById, paperModel, recipes, laid } = useDesk();
  const change = usePlanChange(sheet.id, 'wheel');
  const code = (id: string) => pencilById.get(id)?.code ?? '';
  const here = pencils.filter(isHere);
  const { pinned } = thing;
  const pin = () =>
    void change(`${pinned ? 'unpin' : 'pin'} ${thing.name}`, (plan) =>
      decideThing(plan, thing.id, { pinned: !pinned }),
    );
  return (
    <div className="flex flex-wrap gap-x-3">
      {family.pencils.length < MOST_PENCILS && (
        <Button look="bare" className="px-0!" onClick={() => addBetween()}>
          <Plus size={15} /> one between
        </Button>
      )}
      {family.pencils.length > 2 && (
        <Button look="bare" className="px-0!" onClick={() => void smoothest()}>
          <Blend size={15} /> smoothest way
        </Button>
      )}
      {EXTRAS.filter((extra) => !family[extra]).map((extra) => {
        const [best] = offeredExtras(known, extra, pencilById);
        return best ? (
          <Button
            key={extra}
            look="bare"
            className="px-0!"
            onClick={() => set(`${extra} ${best.pencil.code}`, { ...family, [extra]: best.pencil.id })}
          >
            <Plus size={15} /> {extra}
          </Button>
        ) : null;
      })}
      <Button look="bare" className="px-0!" aria-pressed={pinned} onClick={pin}>
        {pinned ? <ArrowDownToLine size={15} /> : <Pin size={15} />} {pinned ? 'let it change' : 'pin it'}
      </Button>
    </div>
  );

  /** Plans the passage from the darkest to the lightest anew, by what its overlaps come to. */
  async function smoothest() {
    const [from, to] = [laid.get(family.pencils[0]!)?.body, laid.get(family.pencils.at(-1)!)?.body];
    if (!from || !to) return;
    const options = {
      paper: paperModel.paper,
      lengthMm: recipes.get(thing.id)?.halfWidthMm ?? 1,
      count: family.pencils.length,
    };
    const outcome = await pencilJobs.start('ramp', { from, to, pencils: here.map(paperModel.trayPencil), options })
      .outcome;
    if (outcome.kind === 'refused') toast.error(outcome.sentence);
    if (outcome.kind !== 'done') return;
    const ids = byValue([...new Set(outcome.value.bands.map(({ pencil }) => pencil))], laid);
    toast(outcome.value.reason);
    set(`smoothest way, ${ids.map(code).join(', ')}`, { ...family, pencils: ids });
  }

  /** Adds the pencil that halves the largest step. */
  function addBetween() {
    const bodies = family.pencils.map((id) => laid.get(id)?.body ?? ([50, 0, 0] as Lab));
    const widest = (known?.facts.steps ?? []).reduce(
      (best, step, i, all) => (step.apart > all[best]!.apart ? i : best),
      0,
    );
    const dark = bodies[widest]!;
    const light = bodies[widest + 1] ?? [92, dark[1] * 0.4, dark[2] * 0.4];
    const middle: Lab = [(dark[0] + light[0]) / 2, (dark[1] + light[1]) / 2, (dark[2] + light[2]) / 2];
    const best = here
      .filter(({ id }) => !family.pencils.includes(id) && laid.has(id))
      .map((pencil) => ({ pencil, off: Math.hypot(...middle.map((v, k) => v - laid.get(pencil.id)!.body[k]!)) }))
      .sort((p, q) => p.off - q.off)
      .at(0);
    if (best)
      set(`with ${best.pencil.code}`, { ...family, pencils: byValue([...family.pencils, best.pencil.id], laid) });
  }
}
