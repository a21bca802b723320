import { writeFileSync } from 'node:fs';
import parse from 'joi-to-json';
import { mealShape } from '@/core/formats/meal-file';
import { problemShape } from '@/core/formats/problem-file';

/** Writes the JSON Schemas in docs/ from the Joi shapes that check the files, so that the two cannot drift apart. */
const SCHEMAS = { problem: problemShape, meal: mealShape };

for (const [name, shape] of Object.entries(SCHEMAS)) {
  const schema = parse(shape, 'json-draft-2019-09') as Record<string, unknown>;
  const head = { $schema: 'https://json-schema.org/draft/2019-09/schema', title: `warm-cadence/${name}, version 1` };
  writeFileSync(
    new URL(`../docs/${name}.schema.json`, import.meta.url),
    `${JSON.stringify({ ...head, ...schema }, null, 2)}\n`,
  );
}
