import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import type { Reference } from '../../contracts/index.ts';
import { Button } from '../parts/index.ts';

/** A pinned picture in small; opens in large. */
export function PinnedPicture({
  sheetId,
  reference,
  onTakeDown,
}: {
  sheetId: string;
  reference: Reference;
  /** Left out where pictures are only looked at. */
  onTakeDown?(): void;
}) {
  const [open, setOpen] = useState(false);
  const { id, name, width, height } = reference;
  const url = `/api/sheets/${sheetId}/references/${id}/picture`;
  const called = name || 'a picture';
  return (
    <>
      <button
        type="button"
        className="h-20 shrink-0 border border-edge bg-leaf hover:border-ink"
        style={{ aspectRatio: `${width} / ${height}` }}
        aria-label={`Look at ${called}`}
        title={name}
        onClick={() => setOpen(true)}
      >
        <img src={url} alt="" loading="lazy" className="h-full w-full object-cover" />
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} className="relative z-40">
        <div className="fixed inset-0 bg-black/45" aria-hidden />
        <div className="fixed inset-0 flex items-center justify-center p-6">
          <DialogPanel className="flex max-h-full max-w-full flex-col bg-card p-4 shadow-xl">
            <DialogTitle className="mb-2 text-xl">{name || 'Pinned picture'}</DialogTitle>
            <img src={url} alt={called} className="min-h-0 max-w-full flex-1 object-contain" />
            <div className="mt-3 flex justify-end gap-2">
              {onTakeDown && (
                <Button
                  onClick={() => {
                    setOpen(false);
                    onTakeDown();
                  }}
                >
                  Take it down
                </Button>
              )}
              <Button look="strong" onClick={() => setOpen(false)}>
                Done looking
              </Button>
            </div>
          </DialogPanel>
        </div>
      </Dialog>
    </>
  );
}
