import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Lints one planted file in a folder of the house; returns what the linter said, empty when it passed. */
function plant(folder: string, text: string): string {
  const place = mkdtempSync(join(root, folder, 'planted-'));
  try {
    writeFileSync(join(place, 'planted.ts'), text);
    const { status, stdout, stderr } = spawnSync('node_modules/.bin/biome', ['lint', place], {
      cwd: root,
      encoding: 'utf8',
    });
    return status === 0 ? '' : `${stdout}${stderr}`;
  } finally {
    rmSync(place, { recursive: true });
  }
}

describe('the rule on imports', () => {
  it.each([
    ['src/core/live', "import { useState } from 'react';\nexport const planted = useState;\n"],
    ['src/core/schedule', "import { printClock } from '@/core/kitchen/kitchen';\nexport const planted = printClock;\n"],
    ['src/core/dish', "import { planMeal } from '@/core/meal/plan-meal';\nexport const planted = planMeal;\n"],
    ['src/core/heat', "import { planMeal } from '@/core/meal/plan-meal';\nexport const planted = planMeal;\n"],
    ['src/core/meal', "import { stoveAt } from '@/core/live/stove';\nexport const planted = stoveAt;\n"],
    ['src/core/formats', "import { pantry } from '@/store/db';\nexport const planted = pantry;\n"],
    ['src/ui', "import { pantry } from '@/store/db';\nexport const planted = pantry;\n"],
    ['src/views', "import Page from '@/app/page';\nexport const planted = Page;\n"],
  ])('stops an import out of %s that goes against the arrows', (folder, text) => {
    expect(plant(folder, text)).toMatch(/noRestrictedImports/);
  });

  it('lets one along the arrows pass', () => {
    expect(
      plant('src/core/live', "import { planMeal } from '@/core/meal/plan-meal';\nexport const planted = planMeal;\n"),
    ).toBe('');
  });
});
