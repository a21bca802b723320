import Papa from 'papaparse';

/** Rows as comma-separated values (RFC 4180), the named columns in their order. A cell that begins like a formula is told to be words. */
export function table<T extends object>(columns: readonly (keyof T & string)[], rows: readonly T[]): string {
  return Papa.unparse(
    { fields: [...columns], data: rows.map((row) => columns.map((column) => row[column] ?? '')) },
    { escapeFormulae: true, newline: '\r\n' },
  );
}
