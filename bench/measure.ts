/** Times in ms: the first call (cold) and the median of those that follow (warm). */
export interface Timed {
  cold: number;
  warm: number;
}

export async function timed(work: () => unknown, repeats = 5): Promise<Timed> {
  const once = async () => {
    const from = performance.now();
    await work();
    return performance.now() - from;
  };
  const cold = await once();
  const warm: number[] = [];
  for (let i = 0; i < repeats; i++) warm.push(await once());
  return { cold, warm: warm.sort((a, b) => a - b)[Math.floor(repeats / 2)] };
}

/** Prints a table with a title and aligned columns. */
export function printTable(title: string, rows: Record<string, string | number>[]): void {
  console.log(`\n${title}`);
  const columns = Object.keys(rows[0] ?? {});
  const cell = (value: string | number) => (typeof value === 'number' ? round(value) : value);
  const widths = columns.map((column) => Math.max(column.length, ...rows.map((row) => cell(row[column]).length)));
  const line = (cells: string[]) =>
    cells.map((text, i) => (i === 0 ? text.padEnd(widths[i]) : text.padStart(widths[i]))).join('   ');
  console.log(line(columns));
  for (const row of rows) console.log(line(columns.map((column) => cell(row[column]))));
}

function round(value: number): string {
  if (Number.isInteger(value)) return value.toLocaleString('en');
  return Math.abs(value) >= 100 ? Math.round(value).toLocaleString('en') : value.toFixed(Math.abs(value) >= 10 ? 1 : 2);
}
