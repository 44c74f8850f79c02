import { Radio, RadioGroup } from '@headlessui/react';
import clsx from 'clsx';
import { type ReactNode } from 'react';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: ReactNode; says?: string }[];
  onChange(value: T): void;
  /** Options one below the other, each with its line. */
  stacked?: boolean;
}

/** One of a few, all in view: side by side like cut paper, or stacked with a line on each. */
export function Choice<T extends string>({ label, value, options, onChange, stacked }: Props<T>) {
  return (
    <RadioGroup
      value={value}
      onChange={onChange}
      aria-label={label}
      className={clsx('border border-edge bg-leaf', stacked ? 'divide-y divide-rule' : 'flex divide-x divide-rule')}
    >
      {options.map((option) => (
        <Radio
          key={option.value}
          value={option.value}
          className={({ checked }) =>
            clsx(
              'cursor-pointer px-3 py-2 text-[0.95rem] leading-tight',
              stacked ? 'block' : 'flex min-h-10 flex-1 items-center justify-center text-center font-semibold',
              checked ? 'bg-strong text-on-strong' : 'hover:bg-card',
            )
          }
        >
          <span className="font-semibold">{option.label}</span>
          {stacked && option.says && <span className="mt-0.5 block text-sm">{option.says}</span>}
        </Radio>
      ))}
    </RadioGroup>
  );
}
