/** Numbers from 0 to n - 1, joined bit by bit into groups; each group is known by one of its members. */
export class Union {
  private readonly parent: Int32Array;

  constructor(n: number) {
    this.parent = Int32Array.from({ length: n }, (_, i) => i);
  }

  /** The member that the group of `i` is known by; the same for all of it until groups are joined. */
  find(i: number): number {
    let root = i;
    while (this.parent[root] !== root) root = this.parent[root]!;
    this.parent[i] = root;
    return root;
  }

  join(i: number, j: number): void {
    this.parent[this.find(i)] = this.find(j);
  }
}
