/** The first line of every GPL palette. */
export const GPL_HEADER = 'GIMP Palette';

/** A colour of a palette file. */
export interface PaletteColour {
  code: string;
  name: string;
  /** `#rrggbb`. */
  colour: string;
}

/**
 * Colours as a GPL palette, the plain-text format of several open drawing programs: a header, then red, green and blue
 * 0..255 and a name on each line.
 */
export function gplOf(name: string, colours: readonly PaletteColour[]): string {
  const lines = colours.map(({ code, name: own, colour }) => {
    const [r, g, b] = [1, 3, 5].map((at) => String(parseInt(colour.slice(at, at + 2), 16)).padStart(3));
    return `${r} ${g} ${b}\t${oneLine(`${code} ${own}`)}`;
  });
  return [GPL_HEADER, `Name: ${oneLine(name)}`, 'Columns: 12', '#', ...lines, ''].join('\n');
}

/**
 * Reads a GPL palette. The first word of each colour's name is its code where it holds a digit, and the rest its name;
 * others are numbered.
 * @returns the colours, and a sentence for each line that cannot be read
 * @throws RangeError when the text is no GPL palette
 */
export function readGpl(text: string): { colours: PaletteColour[]; faults: { line: number; sentence: string }[] } {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  if (lines[0]?.trim() !== GPL_HEADER) {
    throw new RangeError('This is no GPL palette: its first line must be "GIMP Palette".');
  }
  const colours: PaletteColour[] = [];
  const faults: { line: number; sentence: string }[] = [];
  lines.forEach((line, i) => {
    if (i === 0 || line.trim() === '' || /^\s*(#|Name:|Columns:)/.test(line)) return;
    const found = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const channels = found?.slice(1, 4).map(Number) ?? [];
    if (!found || channels.some((value) => value > 255)) {
      faults.push({ line: i + 1, sentence: 'This line is no red, green and blue from 0 to 255 and a name.' });
      return;
    }
    const [first = '', ...rest] = (found[4] ?? '').trim().split(/\s+/);
    const hasCode = /\d/.test(first) && first.length <= 24;
    colours.push({
      code: hasCode ? first : String(colours.length + 1),
      name: (hasCode ? rest.join(' ') : [first, ...rest].join(' ')).slice(0, 60),
      colour: `#${channels.map((value) => value.toString(16).padStart(2, '0')).join('')}`,
    });
  });
  return { colours, faults };
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}
