import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import { toast } from 'sonner';
import { useDemoQuery, usePutDemoBackMutation, useRemoveDemoMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button } from '../parts/index.ts';

/** Takes the demo off the desk, and lays it out again. */
export function DemoSection() {
  const { data: demo } = useDemoQuery();
  const [remove, { isLoading: removing }] = useRemoveDemoMutation();
  const [putBack, { isLoading: puttingBack }] = usePutDemoBackMutation();
  const [asking, setAsking] = useState(false);
  if (!demo) return null;
  const takeAway = async () => {
    setAsking(false);
    const { error } = await remove();
    if (error) toast.error(sentenceOf(error));
    else toast('The demo is off the desk.');
  };
  const layOut = async () => {
    const { error } = await putBack();
    if (error) toast.error(sentenceOf(error));
    else toast('The demo is laid out again.');
  };
  return (
    <section aria-label="Demo">
      <h2 className="mb-2 text-lg">Demo</h2>
      {demo.laidOut ? (
        <>
          <p className="text-[0.95rem]">
            {demo.sheets} sheets of the invented booklet and a tray of {demo.pencils} invented pencils lie on the desk.
          </p>
          <Button className="mt-2" disabled={removing} onClick={() => setAsking(true)}>
            {removing ? 'Taking it away …' : 'Take the demo away'}
          </Button>
        </>
      ) : (
        <>
          <p className="text-[0.95rem]">
            The demo is not on the desk.
            {demo.pencils > 0 && ' Its pencils stay, because a sheet of yours is planned with them.'}
          </p>
          <Button className="mt-2" disabled={puttingBack} onClick={() => void layOut()}>
            {puttingBack ? 'Laying it out, about 10 s …' : 'Put the demo back'}
          </Button>
        </>
      )}
      <Dialog open={asking} onClose={() => setAsking(false)} className="relative z-40">
        <div className="fixed inset-0 bg-black/45" aria-hidden />
        <div className="fixed inset-0 flex items-center justify-center p-6">
          <DialogPanel className="solid-edge max-w-md bg-card p-6 shadow-xl">
            <DialogTitle className="text-xl">Take the demo away?</DialogTitle>
            <p className="mt-2">
              What you have done on the demo’s sheets goes with them. Your own sheets, pencils and notes stay as they
              are
              {demo.ownSheetsUsingIt > 0 && ', and so does the demo tray, because a sheet of yours is planned with it'}.
              It can be put back as it was at first.
            </p>
            <div className="mt-4 flex justify-end gap-2">
              <Button onClick={() => setAsking(false)}>Leave it</Button>
              <Button look="strong" onClick={() => void takeAway()}>
                Take it away
              </Button>
            </div>
          </DialogPanel>
        </div>
      </Dialog>
    </section>
  );
}
