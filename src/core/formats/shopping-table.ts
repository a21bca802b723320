import type { Errand } from '@/core/prep/shopping';
import { table } from './table';

/** The list as a table: aisle, thing, amount, unit, dishes. RFC 4180; a cell that begins like a formula is told to be words. */
export function listAsCsv(errands: readonly Errand[]): string {
  const rows = errands.flatMap(({ aisle, name, amounts, wants }) =>
    amounts.map(({ quantity, unit }) => ({
      aisle,
      thing: name,
      amount: quantity,
      unit,
      for: [...new Set(wants.map(({ dish }) => dish))].join('; '),
    })),
  );
  return table(['aisle', 'thing', 'amount', 'unit', 'for'], rows);
}
