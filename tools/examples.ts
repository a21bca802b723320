import { mkdirSync, writeFileSync } from 'node:fs';
import { mealFile } from '@/core/formats/meal-file';
import { SAMPLE_MEALS } from '@/demo/meals';

/** Writes the sample meals as meal files into examples/, to try the command line with. */
const folder = new URL('../examples/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const { setting, kitchen, dishes } of SAMPLE_MEALS) {
  const file = mealFile({ ...setting, day: '2026-11-28', kitchen, dishes });
  writeFileSync(new URL(`${setting.id}.json`, folder), `${JSON.stringify(file, null, 2)}\n`);
}
