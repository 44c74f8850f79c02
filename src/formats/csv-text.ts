import Papa from 'papaparse';

/** Rows as CSV. Cells that a table program would take for a formula are marked as text. */
export function csvOf(rows: readonly Readonly<Record<string, unknown>>[], columns?: readonly string[]): string {
  return Papa.unparse([...rows], { escapeFormulae: true, columns: columns ? [...columns] : undefined });
}
