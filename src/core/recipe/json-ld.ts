import { parseForeignJson } from '@/core/plain/json';
import { readIsoDuration } from './duration';
import { elements, type Instruction, plainText, type RecipeParts, readServings } from './taken-apart';

type Node = Readonly<Record<string, unknown>>;

/**
 * The first schema.org Recipe in JSON-LD text, or in the JSON-LD of an HTML page; null where there is none. `broken` when there was
 * JSON-LD and none of it could be read.
 */
export function recipeInData(text: string): RecipeParts | 'broken' | null {
  const trimmed = text.trim();
  const blocks = /^[[{]/.test(trimmed)
    ? [trimmed]
    : elements(text, 'script').flatMap(({ head, inside }) => (LINKED_DATA.test(head) ? [inside] : []));
  let broken = false;
  for (const block of blocks) {
    let data: unknown;
    try {
      data = parseForeignJson(block.trim().replace(/^<!--|-->$/g, ''));
    } catch {
      broken = true;
      continue;
    }
    const recipe = findRecipe(data, 0);
    if (recipe) return partsOf(recipe);
  }
  return broken ? 'broken' : null;
}

const LINKED_DATA = /\btype\s*=\s*["']?application\/ld\+json\b/i;

const DEEPEST = 6;

function findRecipe(data: unknown, depth: number): Node | null {
  if (depth > DEEPEST || typeof data !== 'object' || data === null) return null;
  if (Array.isArray(data)) {
    for (const each of data) {
      const found = findRecipe(each, depth + 1);
      if (found) return found;
    }
    return null;
  }
  const node = data as Node;
  if (listOf(node['@type']).includes('Recipe')) return node;
  return findRecipe(node['@graph'] ?? node['mainEntity'] ?? null, depth + 1);
}

function listOf(value: unknown): readonly unknown[] {
  return Array.isArray(value) ? value : value === undefined || value === null ? [] : [value];
}

function textOf(value: unknown): string {
  if (typeof value === 'string' || typeof value === 'number') return plainText(String(value));
  if (typeof value !== 'object' || value === null) return '';
  const { text, name } = value as { text?: unknown; name?: unknown };
  return textOf(text ?? name ?? '');
}

function partsOf(recipe: Node): RecipeParts {
  const yields = listOf(recipe['recipeYield'] ?? recipe['yield']).map(textOf);
  const minutes = textOf(recipe['totalTime'] ?? '') || textOf(recipe['cookTime'] ?? '');
  return {
    name: textOf(recipe['name']).slice(0, 120),
    servings: yields.map(readServings).find((servings) => servings !== null) ?? null,
    ingredients: listOf(recipe['recipeIngredient'] ?? recipe['ingredients'])
      .flatMap((each) => textOf(each).split('\n'))
      .filter(Boolean),
    instructions: listOf(recipe['recipeInstructions']).flatMap((each) => instructionsOf(each, null)),
    minutes: minutes ? readIsoDuration(minutes) : null,
  };
}

/** Plain text, steps, and sections of steps. */
function instructionsOf(value: unknown, part: string | null): readonly Instruction[] {
  if (typeof value === 'object' && value !== null && 'itemListElement' in value) {
    const node = value as Node;
    const own = node['@type'] === 'HowToSection' ? textOf({ name: node['name'] }) || part : part;
    return listOf(node['itemListElement']).flatMap((each) => instructionsOf(each, own));
  }
  return textOf(value)
    .split('\n')
    .filter(Boolean)
    .map((words) => ({ words, part }));
}
