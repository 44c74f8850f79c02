const MOST = 600;

/**
 * The codes in a text, with spaces, commas, semicolons or on lines. "F-101 to F-136" stands for all codes between where
 * both differ only in the number at their end.
 */
export function codesIn(text: string): string[] {
  const words = text.split(/[\s,;]+/).filter(Boolean);
  const codes: string[] = [];
  for (let i = 0; i < words.length; i++) {
    const last = codes.at(-1);
    if (words[i].toLowerCase() === 'to' && last && i + 1 < words.length) {
      codes.push(...between(last, words[++i]));
      continue;
    }
    codes.push(words[i].slice(0, 24));
  }
  return codes.slice(0, MOST);
}

/** Codes after the first up to the last; both as they stand where they are no such pair. */
function between(first: string, last: string): string[] {
  const [from, to] = [first, last].map((code) => /^(.*?)(\d{1,6})$/.exec(code));
  if (!from || !to || from[1] !== to[1] || Number(to[2]) <= Number(from[2])) return ['to', last];
  const codes: string[] = [];
  for (let n = Number(from[2]) + 1; n <= Number(to[2]) && codes.length < MOST; n++)
    codes.push(from[1] + String(n).padStart(from[2].length, '0'));
  return codes;
}
