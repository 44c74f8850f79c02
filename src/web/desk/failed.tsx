import { Link } from 'react-router';
import { Notice } from '../parts/index.ts';

/** A screen that could not be shown, with the way back. */
export function Failed({ sentence }: { sentence: string }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="sr-only">This could not be shown</h1>
      <Notice kind="refused">{sentence}</Notice>
      <p className="mt-4">
        <Link to="/sheets" className="font-semibold underline underline-offset-4">
          Back to the shelf
        </Link>
      </p>
    </main>
  );
}

/** A screen that is on its way. */
export function Waiting({ doing }: { doing: string }) {
  return (
    <main className="flex min-h-dvh items-center justify-center" aria-busy="true">
      <h1 className="sr-only">Loading</h1>
      <p className="text-soft">{doing} …</p>
    </main>
  );
}
