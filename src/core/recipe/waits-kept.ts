import type { Link } from '@/core/dish/dish';
import { type Arc, longestLags, NO_LAG } from '@/core/schedule/lags';
import type { ReadStep } from './as-read';

/**
 * Links whose longest waits can all be kept together. That two branches meet, and neither may wait, is a guess: where what goes on between them takes
 * longer, the longer of the waits is let go, and what may not wait at all is kept first. A night in between is none of these.
 */
export function withKeepableWaits(steps: readonly ReadStep[], links: readonly Link[]): readonly Link[] {
  const at = new Map(steps.map(({ id }, k) => [id, k]));
  const minutes = steps.map((step) => step.minutes.likely);
  const n = steps.length;
  const arcs = links.map(({ from, to, min }): Arc => {
    const first = at.get(from)!;
    return { from: first, to: at.get(to)!, lag: minutes[first]! + min };
  });
  const lags = closed(n, arcs);
  if (!lags) return links;
  const letGo = new Set<Link>();
  const limited = links.filter(({ max, overnight }) => max !== null && !overnight).sort((a, b) => a.max! - b.max!);
  for (const link of limited) {
    const [from, to] = [at.get(link.from)!, at.get(link.to)!];
    const most = minutes[from]! + link.max!;
    if (lags[from * n + to]! > most) letGo.add(link);
    else hold(lags, n, to, from, -most);
  }
  return links.map((link) => (letGo.has(link) ? withoutMost(link) : link));
}

function withoutMost({ rather: _, ...link }: Link): Link {
  return { ...link, max: null };
}

function closed(n: number, arcs: readonly Arc[]): Int32Array | null {
  const turns = longestLags(n, arcs);
  let turn = turns.next();
  while (!turn.done) turn = turns.next();
  return turn.value;
}

/** One more lag between two steps, in all that follows from it. */
function hold(lags: Int32Array, n: number, from: number, to: number, lag: number): void {
  for (let i = 0; i < n; i++) {
    const before = lags[i * n + from]!;
    if (before <= NO_LAG) continue;
    for (let j = 0; j < n; j++) {
      const after = lags[to * n + j]!;
      if (after > NO_LAG && before + lag + after > lags[i * n + j]!) lags[i * n + j] = before + lag + after;
    }
  }
}
