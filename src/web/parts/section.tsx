import clsx from 'clsx';
import { type ReactNode } from 'react';

interface Props {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
  /** Takes what room is left in the side table; what is long in it scrolls by itself. */
  filling?: boolean;
}

/** One decision of the side table. */
export function Section({ title, aside, children, filling }: Props) {
  return (
    <section
      className={clsx(
        'border-t border-rule py-3 first:border-t-0 first:pt-0',
        filling ? 'flex min-h-112 flex-1 flex-col' : 'shrink-0',
      )}
    >
      <div className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-[1.05rem]">{title}</h2>
        {aside && <div className="text-sm text-soft">{aside}</div>}
      </div>
      {children}
    </section>
  );
}
