import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildSync } from 'esbuild';
import { beforeAll, describe, expect, it } from 'vitest';
import { mealFile } from '@/core/formats/meal-file';
import { isFound, type Problem, type Solution } from '@/core/schedule/problem';
import { validate } from '@/core/schedule/validate';
import { mealOf, plainGrain } from '@/core/testing/meals';

const root = fileURLToPath(new URL('..', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'warm-cadence-'));

/** Said before a bundle: packages of the old kind ask for what they need. */
const REQUIRE = "import{createRequire}from'node:module';const require=createRequire(import.meta.url);";

// Put into one file each, once: to read the hundred files of a tool anew for every call took most of the time.
beforeAll(() => {
  buildSync({
    absWorkingDir: root,
    entryPoints: ['tools/solve.ts', 'tools/plan.ts'],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    banner: { js: REQUIRE },
  });
});

function run(tool: string, args: readonly string[], input?: unknown) {
  const result = spawnSync(process.execPath, [join(folder, `${tool}.mjs`), ...args], {
    cwd: root,
    encoding: 'utf8',
    ...(input === undefined ? {} : { input: typeof input === 'string' ? input : JSON.stringify(input) }),
  });
  return { status: result.status, out: result.stdout, said: result.stderr };
}

const problem = (change: Partial<Problem> = {}): Problem => ({
  format: 'warm-cadence/problem',
  version: 1,
  horizon: 60,
  serve: 50,
  units: [{ id: 'hob' }],
  pools: [],
  states: [],
  steps: [
    { id: 'a', minutes: 20, units: [[{ id: 'hob', cost: 0 }]] },
    { id: 'b', minutes: 20, units: [[{ id: 'hob', cost: 0 }]] },
  ],
  holds: [],
  links: [],
  ready: [
    { step: 'a', by: 50, hold: 0, early: 1, late: 9 },
    { step: 'b', by: 50, hold: 0, early: 1, late: 9 },
  ],
  ...change,
});

describe('solve', () => {
  it('refuses what is no number, no whole number or cannot be written, in a sentence', () => {
    for (const [args, words] of [
      [['--seconds='], /--seconds must be a number/],
      [['--seed=1.5'], /--seed must be a whole number/],
      [['--trace', '/dev/full'], /--trace: the file \/dev\/full cannot be written/],
    ] as const) {
      const { status, said } = run('solve', ['-', ...args], problem());
      expect([status, said]).toEqual([2, expect.stringMatching(words)]);
      expect(said).not.toMatch(/\n\s+at /);
    }
    const deep = run('solve', ['-'], `${'['.repeat(5000)}${']'.repeat(5000)}`);
    expect([deep.status, deep.said]).toEqual([2, expect.stringMatching(/more than 100/)]);
    const marked = run('solve', ['-', '--seconds', '1'], `\uFEFF${JSON.stringify(problem())}`);
    expect(marked.status).toBe(0);
  });

  it('prints a schedule that stands, with its cost, and a trace', () => {
    const trace = join(folder, 'trace.jsonl');
    const { status, out } = run('solve', ['-', '--seconds', '1', '--trace', trace], problem());
    expect(status).toBe(0);
    const solution = JSON.parse(out) as Solution;
    if (!isFound(solution)) throw new Error('no schedule');
    expect(validate(problem(), solution)).toEqual({ faults: [], cost: 20 });
    expect(solution.cost).toBe(20);
    const lines = readFileSync(trace, 'utf8')
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line));
    expect(lines.at(-1)).toMatchObject({ cost: 20 });
  });

  it('exits with 10 when nothing can fit', () => {
    const links = [{ from: 'a', at: 'end', to: 'b', of: 'start', min: 30 }] as const;
    const { status, out } = run('solve', ['-', '--seconds', '1'], problem({ links }));
    expect(status).toBe(10);
    expect(JSON.parse(out)).toMatchObject({ status: 'infeasible' });
  });

  it('exits with 2 and a sentence on bad input', () => {
    const links = [{ from: 'a', at: 'end', to: 'ghost', of: 'start', min: 0 }] as const;
    expect(run('solve', ['-'], problem({ links }))).toMatchObject({ status: 2, out: '' });
    expect(run('solve', ['-'], problem({ links })).said).toMatch(/ghost/);
    expect(run('solve', ['-'], '{"format":').said).toMatch(/JSON/);
    expect(run('solve', ['no-such-file.json']).status).toBe(2);
    expect(run('solve', ['-', '--seconds', 'soon'], problem()).said).toMatch(/--seconds.*soon/);
  });
});

describe('plan', () => {
  const file = join(folder, 'meal.json');
  writeFileSync(file, JSON.stringify(mealFile(mealOf([plainGrain()]))));

  it('prints a plan as data or as a readable list, for other people and another hour', () => {
    const data = run('plan', [file, '--seconds', '1', '--people', '3', '--serve', '18:15']);
    expect(data.status).toBe(0);
    expect(JSON.parse(data.out)).toMatchObject({ people: 3, hour: '18:15' });
    const text = run('plan', [file, '--seconds', '1', '--text']);
    expect(text.out).toMatch(/18:\d\d-18:\d\d {2}Grain grain: covered/);
  });

  it('exits with 2 and a sentence on a wrong hour, wrong people or a pot too small', () => {
    expect(run('plan', [file, '--serve', '7pm'])).toMatchObject({ status: 2, out: '' });
    expect(run('plan', [file, '--people', 'many']).status).toBe(2);
    expect(run('plan', [file, '--people', '40']).said).toMatch(/needs a pot of 20 l/);
  });
});
