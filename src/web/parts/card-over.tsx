import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import clsx from 'clsx';
import { type ReactNode } from 'react';

interface Props {
  title: string;
  /** How wide it may grow: for a few questions, for a picture, for a picture beside a list. */
  width: 'narrow' | 'middling' | 'wide';
  onClose(): void;
  children: ReactNode;
}

const WIDTHS = { narrow: 'max-w-lg', middling: 'max-w-4xl', wide: 'max-w-5xl' };

/** A card laid over the desk: what it asks comes first, and the desk waits beneath it. */
export function CardOver({ title, width, onClose, children }: Props) {
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-black/45" aria-hidden />
      <div className="fixed inset-0 flex items-center justify-center p-6">
        <DialogPanel
          className={clsx('flex max-h-full w-full flex-col overflow-y-auto bg-card p-6 shadow-xl', WIDTHS[width])}
        >
          <DialogTitle className="text-2xl">{title}</DialogTitle>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
