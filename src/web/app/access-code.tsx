import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { Button, Notice } from '../parts/index.ts';

/** Another device stands before the desk: it gives the access code once. */
export function AccessCode() {
  const [params] = useSearchParams();
  const [code, setCode] = useState('');
  const [fault, setFault] = useState('');
  const [asking, setAsking] = useState(false);
  const signIn = async () => {
    setAsking(true);
    setFault('');
    const answer = await fetch('/api/access', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ code }),
    }).catch(() => null);
    setAsking(false);
    if (answer?.ok) {
      const to = params.get('to') ?? '/sheets';
      // Only to a screen of this desk.
      window.location.assign(/^\/[^/\\]/.test(to) ? to : '/sheets');
      return;
    }
    const told = (await answer?.json().catch(() => null)) as { sentence?: string } | null;
    setFault(told?.sentence ?? 'Harmonie does not answer. Check that it is running.');
  };
  return (
    <main className="flex min-h-dvh items-center justify-center bg-desk p-6">
      <form
        className="grid w-full max-w-md gap-3 bg-card p-6"
        onSubmit={(event) => {
          event.preventDefault();
          void signIn();
        }}
      >
        <h1 className="text-2xl">The access code of this desk</h1>
        <label htmlFor="code">It was chosen where Harmonie was started.</label>
        <input
          id="code"
          type="password"
          autoComplete="current-password"
          className="min-h-12 w-full border border-edge bg-leaf px-3 font-figure text-lg"
          value={code}
          onChange={({ target }) => setCode(target.value)}
        />
        {fault && <Notice kind="refused">{fault}</Notice>}
        <Button type="submit" look="strong" large disabled={asking || code === ''}>
          Come in
        </Button>
        <p className="text-sm text-soft">On an open network others could read along: use it at home only.</p>
      </form>
    </main>
  );
}
