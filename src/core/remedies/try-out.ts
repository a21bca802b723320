/** A change that can be tried, whoever proposes it: before the evening, for the days ahead, at the stove. */
export interface Tryable {
  readonly id: string;
  /** How much it asks of the cook, from 0 upwards: of two that help alike the lesser comes first. */
  readonly effort: number;
}

/** How changes are tried: how many, and when to stop. */
export interface TryOutOptions<Found = unknown> {
  /** Hears how many have been tried, and what was found by then, the best first. */
  readonly onTried?: (tried: number, all: number, found: readonly Found[]) => void;
  /** Ends it after the one under way; what was found by then is returned. */
  readonly signal?: { readonly aborted: boolean };
}

/**
 * The one loop that tries changes for real: each is planned, judged and, where it helps, kept; the best come first, and of several that do the
 * same thing only the best is told. `plan` carries an idea out and looks at what comes of it; null where it cannot be or does not help.
 * `better` sorts as `Array.sort` does; what it calls equal is sorted by effort. `sameAs` names what is told once; undefined for what stands for itself.
 */
export async function tryOut<Idea extends Tryable, Found extends Idea>(
  ideas: readonly Idea[],
  plan: (idea: Idea) => Promise<Found | null>,
  better: (a: Found, b: Found) => number,
  sameAs: (found: Found) => string | undefined,
  { onTried, signal }: TryOutOptions<Found> = {},
): Promise<readonly Found[]> {
  const found: Found[] = [];
  for (const [index, idea] of ideas.entries()) {
    if (signal?.aborted) break;
    const one = await plan(idea);
    if (one) found.push(one);
    onTried?.(index + 1, ideas.length, ranked(found, better, sameAs));
  }
  return ranked(found, better, sameAs);
}

/** What was found, the best first, each sort once; see `tryOut`. */
export function ranked<Found extends Tryable>(
  found: readonly Found[],
  better: (a: Found, b: Found) => number,
  sameAs: (found: Found) => string | undefined,
): readonly Found[] {
  const told = new Set<string>();
  return found
    .toSorted((a, b) => better(a, b) || a.effort - b.effort)
    .filter((each) => {
      const name = sameAs(each);
      if (name === undefined) return true;
      const isFirst = !told.has(name);
      told.add(name);
      return isFirst;
    });
}
