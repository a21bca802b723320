import Papa from 'papaparse';

/** What a cell of a table program may take for a formula, over all its lines. */
const FORMULA = /^[=+\-@\t\r\n][\s\S]*$/;

/** Rows as comma-separated values (RFC 4180), the named columns in their order. A cell that begins like a formula is told to be words. */
export function table<T extends object>(columns: readonly (keyof T & string)[], rows: readonly T[]): string {
  return Papa.unparse(
    { fields: [...columns], data: rows.map((row) => columns.map((column) => row[column] ?? '')) },
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );
}
