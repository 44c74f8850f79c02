import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { look?: 'strong' | 'plain' | 'bare' };

/** A button with a verb on it: strong for the likely next move, plain beside it, bare for small ones. */
export function Button({ look = 'plain', className, ...rest }: Props) {
  return (
    <button
      type="button"
      {...rest}
      className={clsx(
        'inline-flex min-h-10 items-center justify-center gap-2 rounded-cut px-3 text-[0.95rem] font-semibold disabled:opacity-45',
        look === 'strong' && 'bg-strong text-on-strong',
        look === 'plain' && 'border border-edge bg-leaf text-ink hover:border-ink',
        look === 'bare' && 'text-ink underline decoration-rule underline-offset-4 hover:decoration-ink',
        className,
      )}
    />
  );
}
