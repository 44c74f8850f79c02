import type { Pencil } from '../../contracts/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Laydown, Select } from '../parts/index.ts';

/** A pencil of the tray, with what it would do; the present one first. */
export function PencilPick(props: {
  label: string;
  value: string;
  options: readonly { pencil: Pencil; says: string }[];
  fallback?: Pencil;
  onChange(id: string): void;
}) {
  const { label, value, options, fallback, onChange } = props;
  const { paperModel } = useDesk();
  const has = options.some(({ pencil }) => pencil.id === value);
  const all = has || !fallback ? options : [{ pencil: fallback, says: '' }, ...options];
  return (
    <Select
      label={label}
      value={value}
      options={all.map(({ pencil, says }) => ({
        value: pencil.id,
        label: (
          <span className="flex items-center gap-2">
            <Laydown pencil={pencil} paperModel={paperModel} width={64} height={22} />
            <span className="font-figure font-bold">{pencil.code}</span>
            <span className="truncate text-sm">{pencil.ownName || pencil.name}</span>
          </span>
        ),
        says: says || undefined,
      }))}
      onChange={onChange}
    />
  );
}
