import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { diagram, importsOfAll, lintRules, root } from './rooms';

// npm run rooms: writes the diagram of docs/architecture.md and the import rules of biome.json from tools/rooms.ts and the imports there are.

export const ARCHITECTURE = join(root, 'docs/architecture.md');
export const BIOME = join(root, 'biome.json');

interface Override {
  readonly linter?: { readonly rules?: { readonly style?: Readonly<Record<string, unknown>> } };
}

/** The text of docs/architecture.md with the diagram of today. */
export function withDiagram(text: string): string {
  return text.replace(/```mermaid\n[\s\S]*?\n```/, `\`\`\`mermaid\n${diagram(importsOfAll())}\n\`\`\``);
}

/** The linter's configuration with the rules of today; all else of it stays. */
export function withRules(config: { readonly overrides: readonly Override[] }): object {
  const others = config.overrides.filter(({ linter }) => linter?.rules?.style?.['noRestrictedImports'] === undefined);
  return { ...config, overrides: [...others, ...lintRules()] };
}

if (process.argv[1]?.endsWith('draw-rooms.ts')) {
  writeFileSync(ARCHITECTURE, withDiagram(readFileSync(ARCHITECTURE, 'utf8')));
  writeFileSync(BIOME, `${JSON.stringify(withRules(JSON.parse(readFileSync(BIOME, 'utf8'))), null, 2)}\n`);
}
