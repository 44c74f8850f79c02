import { type ReactNode } from 'react';

/** One decision of the side table. */
export function Section({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <section className="border-t border-rule py-3 first:border-t-0 first:pt-0">
      <div className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-[1.05rem]">{title}</h2>
        {aside && <div className="text-sm text-soft">{aside}</div>}
      </div>
      {children}
    </section>
  );
}
