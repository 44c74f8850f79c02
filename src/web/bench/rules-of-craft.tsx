import { Disclosure, DisclosureButton, DisclosurePanel, Switch } from '@headlessui/react';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ChevronDown, GripVertical } from 'lucide-react';
import { RULES, type Rule, ruleById } from '../../core/bench/index.ts';
import { decide } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Reordered } from '../parts/index.ts';

/** The rules that the order of steps keeps to, the one that weighs most first; each can be switched off and moved. */
export function RulesOfCraft() {
  const { sheet } = useDesk();
  const { bench } = sheet.plan;
  const change = usePlanChange(sheet.id, 'bench');
  const set = (label: string, rules: readonly string[]) =>
    void change(label, (plan) => decide(plan, { bench: { ...bench, rules } }));
  const kept = bench.rules.filter((id) => RULES.some((rule) => rule.id === id)).map(ruleById);
  const others = RULES.filter(({ id }) => !bench.rules.includes(id));
  return (
    <Disclosure>
      <DisclosureButton className="group flex min-h-10 w-full items-center justify-between text-left text-[0.95rem]">
        <span>
          <strong>Rules of craft</strong>: {kept.length} of {RULES.length} kept
        </span>
        <ChevronDown size={18} className="group-data-open:rotate-180" aria-hidden />
      </DisclosureButton>
      <DisclosurePanel className="grid gap-1 pb-2">
        <p className="text-sm text-soft">
          Where two cannot both be kept, the upper one is. Drag by the grip to rank them.
        </p>
        <Reordered
          ids={kept.map(({ id }) => id)}
          onMove={(id, to) => {
            const rest = bench.rules.filter((other) => other !== id);
            const down = bench.rules.indexOf(id) < bench.rules.indexOf(to);
            rest.splice(rest.indexOf(to) + Number(down), 0, id);
            set('rank of rules', rest);
          }}
        >
          {kept.map((rule) => (
            <KeptRule
              key={rule.id}
              rule={rule}
              onDrop={() =>
                set(
                  `without ${rule.name}`,
                  bench.rules.filter((id) => id !== rule.id),
                )
              }
            />
          ))}
        </Reordered>
        {others.map((rule) => (
          <RuleRow
            key={rule.id}
            rule={rule}
            on={false}
            onChange={() => set(`with ${rule.name}`, [...bench.rules, rule.id])}
          />
        ))}
      </DisclosurePanel>
    </Disclosure>
  );
}

function KeptRule({ rule, onDrop }: { rule: Rule; onDrop(): void }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: rule.id });
  return (
    <div ref={setNodeRef} style={{ transform: CSS.Translate.toString(transform), transition }}>
      <RuleRow
        rule={rule}
        on
        onChange={onDrop}
        grip={
          <button
            type="button"
            aria-label={`Move ${rule.name}`}
            className="flex h-10 w-8 shrink-0 cursor-grab items-center justify-center hover:bg-card"
            {...attributes}
            {...listeners}
          >
            <GripVertical size={16} />
          </button>
        }
      />
    </div>
  );
}

function RuleRow({ rule, on, onChange, grip }: { rule: Rule; on: boolean; onChange(): void; grip?: React.ReactNode }) {
  return (
    <div className="flex gap-1 border border-rule bg-leaf py-1 pr-2">
      {grip ?? <span className="w-8 shrink-0" />}
      <div className="min-w-0 flex-1 text-sm">
        <span className="text-[0.95rem] font-semibold">{rule.name}</span>
        <span className="block text-soft">{rule.says}</span>
        <span className="block text-soft">Costs: {rule.costs.charAt(0).toLowerCase() + rule.costs.slice(1)}</span>
      </div>
      <Switch
        checked={on}
        onChange={onChange}
        aria-label={`Keep to ${rule.name}`}
        className="group flex h-10 w-10 shrink-0 items-center"
      >
        <span className="flex h-6 w-10 items-center border border-edge bg-leaf px-0.5">
          <span className="h-4 w-4 border border-edge group-data-checked:translate-x-4.5 group-data-checked:bg-strong" />
        </span>
      </Switch>
    </div>
  );
}
