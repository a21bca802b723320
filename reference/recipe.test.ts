import jsonld from 'jsonld';
import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { recipeJsonLd } from '@/core/formats/dish-file';

/** What schema.org's context says of the terms used, from memory: the published one is on the network, and tests do without. */
const CONTEXT = { '@vocab': 'http://schema.org/' };
const withContext = (dish: (typeof SHELF)[number]) => ({ ...recipeJsonLd(dish), '@context': CONTEXT });

describe('exported recipes, by the reference implementation of JSON-LD (jsonld on the registry)', () => {
  it.each(SHELF.map((dish) => [dish.name, dish] as const))(
    '%s expands to a Recipe without a lost term',
    async (_, dish) => {
      const [node] = await jsonld.expand(withContext(dish));
      expect(node!['@type']).toEqual(['http://schema.org/Recipe']);
      const told = recipeJsonLd(dish);
      const terms = Object.keys(told).filter((key) => !key.startsWith('@'));
      for (const term of terms) expect(node![`http://schema.org/${term}`], term).toBeDefined();
      expect(node!['http://schema.org/recipeIngredient']).toHaveLength(dish.ingredients.length);
      const steps = node!['http://schema.org/recipeInstructions'] as readonly Record<string, unknown>[];
      expect(steps.map((step) => step['@type'])).toEqual(dish.steps.map(() => ['http://schema.org/HowToStep']));
    },
  );

  it('durations are of ISO 8601, as schema.org asks', () => {
    for (const dish of SHELF) {
      const { totalTime, prepTime } = recipeJsonLd(dish);
      for (const duration of [totalTime, prepTime]) expect(duration).toMatch(/^PT(?:\d+H)?(?:\d+M)?$/);
    }
  });
});
