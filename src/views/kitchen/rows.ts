import type { Kitchen } from '@/core/kitchen/kitchen';

/** The lists of a kitchen that are edited row by row. */
export type ListName = 'burners' | 'ovens' | 'appliances' | 'vessels' | 'people';
export type Row<L extends ListName> = Kitchen[L][number];

/** A change of what is stored, not of what a view last read. */
export type ChangeKitchen = (by: (kitchen: Kitchen) => Kitchen) => void;

/** What can be done with the rows of one list. */
export interface Rows<L extends ListName> {
  readonly change: (row: string, part: Partial<Row<L>>) => void;
  readonly remove: (row: string) => void;
  /** One more row, with an id of its own. */
  readonly add: (row: Omit<Row<L>, 'id'>) => void;
}

export function rowsOf<L extends ListName>(list: L, change: ChangeKitchen): Rows<L> {
  return {
    change: (row, part) =>
      change((now) => ({ ...now, [list]: now[list].map((each) => (each.id === row ? { ...each, ...part } : each)) })),
    remove: (row) => change((now) => ({ ...now, [list]: now[list].filter((each) => each.id !== row) })),
    add: (row) => change((now) => ({ ...now, [list]: [...now[list], { ...row, id: freshId(now, list) }] })),
  };
}

function freshId(kitchen: Kitchen, list: ListName): string {
  const taken = new Set(kitchen[list].map((row) => row.id));
  let number = kitchen[list].length + 1;
  while (taken.has(`${list}-${number}`)) number++;
  return `${list}-${number}`;
}
