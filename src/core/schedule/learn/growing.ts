/** A copy of an array with room for at least `size` numbers, at least half as large again as it was. */
export function grown(array: Int32Array<ArrayBuffer>, size: number): Int32Array<ArrayBuffer> {
  const larger = new Int32Array(Math.max(size, array.length + (array.length >> 1) + 16));
  larger.set(array);
  return larger;
}

/** Lists of numbers, one a key, packed behind each other: quick to walk, fixed once made. */
export interface PackedLists {
  /** The list of key k is items[from[k]] to items[from[k + 1] - 1]. */
  readonly from: Int32Array;
  readonly items: Int32Array;
}

/** Lists of numbers in one array, with where each begins. */
export function packLists(lists: readonly (readonly number[])[]): PackedLists {
  const from = new Int32Array(lists.length + 1);
  lists.forEach((list, key) => {
    from[key + 1] = from[key]! + list.length;
  });
  const items = new Int32Array(from[lists.length]!);
  lists.forEach((list, key) => {
    items.set(list, from[key]!);
  });
  return { from, items };
}
