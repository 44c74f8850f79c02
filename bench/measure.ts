/** Times in ms: the first call (cold), and of those that follow the median (warm) and the shortest (best). */
export interface Timed {
  cold: number;
  warm: number;
  best: number;
}

export async function timed(work: () => unknown, repeats = 5): Promise<Timed> {
  return (await timedInTurns([work], repeats))[0];
}

/** The same for several kinds of work, each done once in every round, so that a busy machine slows all alike. */
export async function timedInTurns(works: readonly (() => unknown)[], repeats = 5): Promise<Timed[]> {
  const rounds: number[][] = [];
  for (let i = 0; i <= repeats; i++) {
    const round: number[] = [];
    for (const work of works) {
      const from = performance.now();
      await work();
      round.push(performance.now() - from);
    }
    rounds.push(round);
  }
  return works.map((_, k) => {
    const [cold, ...others] = rounds.map((round) => round[k]);
    const sorted = others.sort((a, b) => a - b);
    return { cold, warm: sorted[Math.floor(repeats / 2)], best: sorted[0] };
  });
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
