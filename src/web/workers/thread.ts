import { wrap } from 'comlink';
import { type Thread } from './job-client.ts';
import { type JobHost } from './job-host.ts';

/** A worker as a client of its jobs sees it. */
export function threadOf(worker: Worker): Thread {
  const broken = new Promise<string>((resolve) => {
    worker.addEventListener('error', ({ message }) =>
      resolve(
        `A part of this program stopped working (${message || 'it could not be loaded'}). Try again, or reload the page.`,
      ),
    );
    worker.addEventListener('messageerror', () =>
      resolve('A part of this program was sent what it cannot read. Reload the page and try again.'),
    );
  });
  return { host: wrap<JobHost>(worker), broken, end: () => worker.terminate() };
}
