import { describe, expect, it } from 'vitest';
import { tryOut } from './try-out';

const ideas = [
  { id: 'a', effort: 3, late: 0 },
  { id: 'b', effort: 1, late: 0 },
  { id: 'c', effort: 2, late: 5 },
  { id: 'd', effort: 1, late: null },
] as const;
type Idea = { readonly id: string; readonly effort: number; readonly late: number | null };
type Found = Idea & { readonly now: number };

const run = (options = {}, sameAs: (found: Found) => string | undefined = () => undefined) =>
  tryOut<Idea, Found>(
    ideas,
    async (idea) => (idea.late === null ? null : { ...idea, now: idea.late }),
    (a, b) => a.now - b.now,
    sameAs,
    options,
  );

describe('the loop that tries changes out', () => {
  it('keeps what helps, the best first, and of equal ones what asks less', async () => {
    expect((await run()).map(({ id }) => id)).toEqual(['b', 'a', 'c']);
  });

  it('tells once what does the same', async () => {
    expect((await run({}, ({ now }) => `late ${now}`)).map(({ id }) => id)).toEqual(['b', 'c']);
  });

  it('says how far it is, ends when told to, and gives what was found by then', async () => {
    const signal = { aborted: false };
    const heard: string[] = [];
    const onTried = (tried: number, all: number, found: readonly Found[]) => {
      heard.push(`${tried}/${all} ${found.map(({ id }) => id).join()}`);
      if (tried === 2) signal.aborted = true;
    };
    expect((await run({ onTried, signal })).map(({ id }) => id)).toEqual(['b', 'a']);
    expect(heard).toEqual(['1/4 a', '2/4 b,a']);
  });
});
