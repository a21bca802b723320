import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { root } from './rooms';

/** Classes that name a side of the page, of which there is a logical one: `ps-3` for `pl-3`. */
const SIDED =
  /(?<=["'` :])-?(?:(?:ml|mr|pl|pr|scroll-ml|scroll-mr)-[^"'` ]+|(?:left|right)-(?:auto|full|px|\d[^"'` ]*|\[[^"'` ]+)|(?:border|rounded)-[lr](?:-[^"'` ]+)?|rounded-[tb][lr](?:-[^"'` ]+)?|text-(?:left|right))(?=["'` ])/g;

const sidesIn = (text: string) => [...text.matchAll(SIDED)].map(([name]) => name);

describe('the classes of views', () => {
  it('say start and end, which turn round where a page is read from the right', () => {
    const files = readdirSync(join(root, 'src'), { recursive: true }).map((file) => join('src', String(file)));
    const views = files.filter((path) => path.endsWith('.tsx'));
    expect(views.length).toBeGreaterThan(100);
    const found = views.flatMap((path) => {
      const sides = sidesIn(readFileSync(join(root, path), 'utf8'));
      return sides.length > 0 ? [`${path}: ${sides.join(' ')}`] : [];
    });
    expect(found).toEqual([]);
  });

  it('are found out where they name a side', () => {
    expect(sidesIn('className="pl-3 sm:-mr-2 border-l left-0 rounded-tr-lg text-right"')).toHaveLength(6);
    expect(sidesIn('className="ps-3 me-2 border-s start-0 left-over right text-start plate-3"')).toEqual([]);
  });
});
