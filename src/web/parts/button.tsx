import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
  look?: 'strong' | 'plain' | 'bare';
  /** To be hit and read from an arm's length. */
  large?: boolean;
};

/** A button with a verb on it: strong for the likely next move, plain beside it, bare for small ones. */
export function Button({ look = 'plain', large, className, ...rest }: Props) {
  return (
    <button
      type="button"
      {...rest}
      className={clsx(
        'inline-flex items-center justify-center gap-2 rounded-cut px-3 font-semibold disabled:opacity-45',
        large ? 'min-h-16 text-2xl' : 'min-h-10 text-[0.95rem]',
        look === 'strong' && 'bg-strong text-on-strong',
        look === 'plain' && 'border border-edge bg-leaf text-ink hover:border-ink',
        look === 'bare' && 'text-ink underline decoration-rule underline-offset-4 hover:decoration-ink',
        className,
      )}
    />
  );
}
