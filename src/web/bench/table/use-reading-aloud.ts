import { useEffect, useState } from 'react';

/** Reads what comes up with the browser's own voice, once that was asked for. */
export function useReadingAloud(text: string) {
  const [on, setOn] = useState(false);
  const canRead = typeof window !== 'undefined' && 'speechSynthesis' in window;
  useEffect(() => {
    if (!on || !canRead || !text) return;
    const spoken = new SpeechSynthesisUtterance(text);
    spoken.lang = 'en';
    speechSynthesis.cancel();
    speechSynthesis.speak(spoken);
    return () => speechSynthesis.cancel();
  }, [on, canRead, text]);
  return { on, canRead, toggle: () => setOn((was) => !was) };
}
