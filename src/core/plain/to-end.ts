/** What work in turns comes to, all of them at once. */
export function toEnd<T>(turns: Generator<unknown, T>): T {
  for (;;) {
    const turn = turns.next();
    if (turn.done) return turn.value;
  }
}
