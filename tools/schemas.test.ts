import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { schemaFile, schemaTexts } from './schemas';

describe('the JSON Schemas in docs/', () => {
  it.each([...schemaTexts()])(
    '%s: is the one that the border check makes (else run "npm run schemas")',
    (name, text) => {
      expect(readFileSync(schemaFile(name), 'utf8')).toBe(text);
    },
  );
});
