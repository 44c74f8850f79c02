import { useEffect, useState } from 'react';

/**
 * Keeps the screen awake where the browser can.
 * @returns whether it does; null while that is not known
 */
export function useAwake(): boolean | null {
  const [isAwake, setAwake] = useState<boolean | null>('wakeLock' in navigator ? null : false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const take = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock?.request('screen').then(
        (taken) => {
          if (left) return void taken.release();
          lock = taken;
          setAwake(true);
        },
        () => setAwake(false),
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
  return isAwake;
}
