import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import clsx from 'clsx';
import { Check, ChevronDown } from 'lucide-react';
import { type ReactNode } from 'react';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: ReactNode; says?: string }[];
  onChange(value: T): void;
  className?: string;
}

/** One of many, from a list that opens. */
export function Select<T extends string>({ label, value, options, onChange, className }: Props<T>) {
  return (
    <Listbox value={value} onChange={onChange}>
      <ListboxButton
        className={clsx(
          'flex min-h-10 w-full items-center justify-between gap-2 border border-edge bg-leaf px-3 text-left',
          className,
        )}
      >
        <span className="min-w-0 truncate">
          <span className="sr-only">{label}: </span>
          {options.find((option) => option.value === value)?.label ?? '—'}
        </span>
        <ChevronDown size={18} className="shrink-0" aria-hidden />
      </ListboxButton>
      <ListboxOptions
        anchor={{ to: 'bottom start', gap: 2 }}
        className="z-50 max-h-96! w-(--button-width) min-w-64 overflow-auto border border-ink bg-leaf text-ink shadow-lg focus:outline-none"
      >
        {options.map((option) => (
          <ListboxOption
            key={option.value}
            value={option.value}
            className="flex items-start gap-2 px-3 py-2 data-focus:bg-card"
          >
            <Check size={16} className={clsx('mt-1 shrink-0', option.value !== value && 'invisible')} aria-hidden />
            <span className="min-w-0">
              {option.label}
              {option.says && <span className="block text-sm text-soft">{option.says}</span>}
            </span>
          </ListboxOption>
        ))}
      </ListboxOptions>
    </Listbox>
  );
}
