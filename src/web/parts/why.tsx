import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { type ReactNode } from 'react';

/** The "why" of a computed number: opens to what it was computed from. */
export function Why({ of, children }: { of: string; children: ReactNode }) {
  return (
    <Popover className="inline">
      <PopoverButton
        aria-label={`Why: ${of}`}
        className="px-1 text-sm text-soft underline decoration-dotted underline-offset-4 hover:text-ink"
      >
        why
      </PopoverButton>
      <PopoverPanel
        anchor={{ to: 'bottom end', gap: 4, padding: 12 }}
        className="z-50 w-80 max-w-full border border-ink bg-leaf p-3 text-[0.9rem] leading-snug text-ink shadow-lg"
      >
        {children}
      </PopoverPanel>
    </Popover>
  );
}
