import clsx from 'clsx';
import { type ReactNode } from 'react';

/** A plain sentence that deserves a look: hatched edge for a warning, solid bar where work would be lost or refused. */
export function Notice({
  kind = 'warning',
  title,
  children,
}: {
  kind?: 'warning' | 'refused';
  title?: string;
  children: ReactNode;
}) {
  return (
    <div
      role={kind === 'refused' ? 'alert' : 'status'}
      className={clsx('bg-leaf py-2 pr-3 pl-3', kind === 'warning' ? 'hatched-edge' : 'solid-edge')}
    >
      {title && <strong>{title} </strong>}
      {children}
    </div>
  );
}
