import { writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import parse from 'joi-to-json';
import { mealShape } from '@/core/formats/meal-file';
import { oddsFileShape } from '@/core/formats/odds-file';
import { problemShape } from '@/core/formats/problem-file';

const SHAPES = { problem: problemShape, meal: mealShape, odds: oddsFileShape };

/** The JSON Schemas of docs/ as text, made from the Joi shapes that check the files, so that the two cannot drift apart. */
export function schemaTexts(): ReadonlyMap<string, string> {
  const texts = new Map<string, string>();
  for (const [name, shape] of Object.entries(SHAPES)) {
    const schema = parse(shape, 'json-draft-2019-09') as Record<string, unknown>;
    const head = { $schema: 'https://json-schema.org/draft/2019-09/schema', title: `warm-cadence/${name}, version 1` };
    texts.set(name, `${JSON.stringify({ ...head, ...schema }, withoutPatternNames, 2)}\n`);
  }
  return texts;
}

/** The converter lists a pattern twice, once as if it were a field's name. */
function withoutPatternNames(key: string, value: unknown): unknown {
  if (key !== 'properties' || value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).filter(([name]) => !name.startsWith('/')));
}

export function schemaFile(name: string): URL {
  return new URL(`../docs/${name}.schema.json`, import.meta.url);
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  for (const [name, text] of schemaTexts()) writeFileSync(schemaFile(name), text);
}
