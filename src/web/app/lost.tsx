import { Failed } from '../desk/failed.tsx';

/** An address with nothing behind it, or a screen that failed. */
export function Lost() {
  return <Failed sentence="There is nothing here, or it could not be shown. What you did is saved." />;
}
