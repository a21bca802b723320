/** Variables by activity, the most active on top (as in Eén and Sörensson 2003). */
export class ActivityHeap {
  readonly activity: Float64Array;
  private readonly heap: Int32Array;
  private readonly at: Int32Array;
  private size = 0;
  private step = 1;

  constructor(count: number) {
    this.activity = new Float64Array(count);
    this.heap = new Int32Array(count);
    this.at = new Int32Array(count).fill(-1);
  }

  /** The most active variable, or -1. */
  top(): number {
    return this.size > 0 ? this.heap[0]! : -1;
  }

  pop(): void {
    const first = this.heap[0]!;
    this.at[first] = -1;
    this.size--;
    if (this.size > 0) {
      const last = this.heap[this.size]!;
      this.heap[0] = last;
      this.at[last] = 0;
      this.sink(0);
    }
  }

  insert(variable: number): void {
    if (this.at[variable]! >= 0) return;
    this.heap[this.size] = variable;
    this.at[variable] = this.size;
    this.size++;
    this.rise(this.size - 1);
  }

  bump(variable: number): void {
    this.activity[variable] = this.activity[variable]! + this.step;
    if (this.activity[variable]! > 1e100) this.rescale();
    if (this.at[variable]! >= 0) this.rise(this.at[variable]!);
  }

  decay(): void {
    this.step *= 1 / 0.95;
  }

  private rescale(): void {
    for (let i = 0; i < this.activity.length; i++) this.activity[i] = this.activity[i]! * 1e-100;
    this.step *= 1e-100;
  }

  private rise(place: number): void {
    const { heap, at, activity } = this;
    const variable = heap[place]!;
    let here = place;
    while (here > 0) {
      const up = (here - 1) >> 1;
      if (activity[heap[up]!]! >= activity[variable]!) break;
      heap[here] = heap[up]!;
      at[heap[here]!] = here;
      here = up;
    }
    heap[here] = variable;
    at[variable] = here;
  }

  private sink(place: number): void {
    const { heap, at, activity } = this;
    const variable = heap[place]!;
    let here = place;
    for (;;) {
      let down = 2 * here + 1;
      if (down >= this.size) break;
      if (down + 1 < this.size && activity[heap[down + 1]!]! > activity[heap[down]!]!) down++;
      if (activity[heap[down]!]! <= activity[variable]!) break;
      heap[here] = heap[down]!;
      at[heap[here]!] = here;
      here = down;
    }
    heap[here] = variable;
    at[variable] = here;
  }
}
