import { type AsideShape } from '../../contracts/index.ts';
import { forgetAside, placeAside, regionAt } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section, Why } from '../parts/index.ts';

/** Shapes of one thing, or of none, that lost their regions; by their places in the list of all. */
interface Group {
  thingId: string | null;
  name: string;
  indexes: number[];
}

/** Shapes that lost their regions when those were found anew: given to what lies there now, or let go. */
export function KeptAside() {
  const { sheet, page } = useDesk();
  const { aside } = sheet.plan;
  const change = usePlanChange(sheet.id, 'sheet');
  if (aside.shapes.length === 0) return null;
  const there = (shape: AsideShape) => (page ? regionAt({ labels: page.index.labels, meta: page }, shape.at) : 0);
  return (
    <Section title="Kept aside" aside={shapes(aside.shapes.length)}>
      <p className="text-[0.95rem] text-soft">
        Their regions are not found any more.{' '}
        <Why of="what is kept aside">
          When regions are found anew, a shape may fall together with its neighbour, be too small or be taken out. What
          was decided for it is kept here and comes back by itself where the shape is found again, or by undo.
        </Why>
      </p>
      <ul className="mt-1 divide-y divide-rule border-y border-rule" aria-label="Kept aside">
        {groupsOf(sheet.plan).map(({ thingId, name, indexes }) => {
          const homes = indexes.filter((index) => there(aside.shapes[index]!) > 0);
          return (
            <li key={thingId ?? 'none'} className="flex flex-wrap items-center gap-x-3 py-1">
              <span className="min-w-0 flex-1 truncate">
                {name} <span className="text-sm text-soft">{shapes(indexes.length)}</span>
              </span>
              {homes.length > 0 && (
                <Button
                  look="bare"
                  className="px-0! font-normal"
                  aria-label={`Give ${name} what lies there now`}
                  onClick={() =>
                    void change(`${name} to what lies there now`, (plan) => {
                      // From the last on: the places of those before stay.
                      for (const index of [...homes].reverse()) placeAside(plan, index, there(aside.shapes[index]!));
                    })
                  }
                >
                  take what lies there
                </Button>
              )}
              <Button
                look="bare"
                className="px-0! font-normal"
                aria-label={`Let go of ${name}`}
                onClick={() => void change(`let go of ${shapes(indexes.length)}`, (plan) => forgetAside(plan, indexes))}
              >
                let go
              </Button>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}

function groupsOf({ aside, things }: ReturnType<typeof useDesk>['sheet']['plan']): Group[] {
  const groups = new Map<string | null, Group>();
  aside.shapes.forEach(({ thingId }, index) => {
    const thing = thingId === null ? null : (things[thingId] ?? aside.things[thingId]);
    const group = groups.get(thingId) ?? { thingId, name: thing?.name ?? 'in no thing', indexes: [] };
    group.indexes.push(index);
    groups.set(thingId, group);
  });
  return [...groups.values()];
}

function shapes(count: number): string {
  return count === 1 ? '1 shape' : `${count} shapes`;
}
