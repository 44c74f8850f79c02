import clsx from 'clsx';
import { type ReactNode, useEffect, useRef } from 'react';

interface Props {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
  /** Takes what room is left in the side table; what is long in it scrolls by itself. */
  filling?: boolean;
  /** A task that has the side table to itself: it takes the keys when it opens, and Escape calls this. */
  onEscape?(): void;
}

/** One decision of the side table. */
export function Section({ title, aside, children, filling, onEscape }: Props) {
  const section = useRef<HTMLElement>(null);
  const isTask = onEscape !== undefined;
  useEffect(() => {
    if (isTask) section.current?.focus({ preventScroll: true });
  }, [isTask]);
  return (
    <section
      ref={section}
      tabIndex={isTask ? -1 : undefined}
      aria-label={isTask ? title : undefined}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && !event.defaultPrevented) onEscape?.();
      }}
      className={clsx(
        'border-t outline-none border-rule py-3 first:border-t-0 first:pt-0',
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
