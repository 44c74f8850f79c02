const MOST = 600;

/**
 * The codes in a text, with spaces, commas, semicolons or on lines. "F-101 to F-136" stands for all codes between where
 * both differ only in the number at their end.
 */
export function codesIn(text: string): string[] {
  const words = text.split(/[\s,;]+/).filter(Boolean);
  const codes: string[] = [];
  for (let i = 0; i < words.length; i++) {
    const [word, next, last] = [words[i]!, words[i + 1], codes.at(-1)];
    if (word.toLowerCase() === 'to' && last && next) {
      codes.push(...between(last, next));
      i++;
    } else codes.push(word.slice(0, 24));
  }
  return codes.slice(0, MOST);
}

/** Codes after the first up to the last; both as they stand where they are no such pair. */
function between(first: string, last: string): string[] {
  const [from, to] = [numbered(first), numbered(last)];
  if (!from || !to || from.stem !== to.stem || to.number <= from.number) return ['to', last];
  const codes: string[] = [];
  for (let n = from.number + 1; n <= to.number && codes.length < MOST; n++)
    codes.push(from.stem + String(n).padStart(from.digits, '0'));
  return codes;
}

function numbered(code: string) {
  const [, stem, number] = /^(.*?)(\d{1,6})$/.exec(code) ?? [];
  return stem === undefined || number === undefined ? null : { stem, number: Number(number), digits: number.length };
}
