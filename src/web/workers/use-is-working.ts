import { useSyncExternalStore } from 'react';
import { type JobClient } from './job-client.ts';
import { type Jobs } from './job.ts';

/** Whether a client has jobs waiting or under way. */
export function useIsWorking<J extends Jobs>(client: JobClient<J>): boolean {
  return useSyncExternalStore(
    (listener) => client.subscribe(listener),
    () => !client.isIdle,
  );
}
