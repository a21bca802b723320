import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { FONTS, type FontName, withoutMarks } from '@/core/paper/fonts';
import { SIZES } from '@/core/paper/pdf';
import { eachText, toldAll } from '@/core/units/told';
import { manner } from '@/ui/told/manner';
import { halving } from './halving';

type Maker = typeof import('pdfmake/build/pdfmake');

/** A file for each font and weight. The addresses stand written out: so the bundler finds them. */
const FILES: Readonly<Record<FontName, readonly [normal: URL, bold: URL]>> = {
  Main: [
    new URL(
      '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
      import.meta.url,
    ),
  ],
  Extended: [
    new URL(
      '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
      import.meta.url,
    ),
  ],
  Vietnamese: [
    new URL('@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff', import.meta.url),
    new URL('@fontsource/noto-sans/files/noto-sans-vietnamese-700-normal.woff', import.meta.url),
  ],
  Greek: [
    new URL('@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff', import.meta.url),
    new URL('@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff', import.meta.url),
  ],
  Cyrillic: [
    new URL('@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff', import.meta.url),
    new URL('@fontsource/noto-sans/files/noto-sans-cyrillic-700-normal.woff', import.meta.url),
  ],
};

let ready: Promise<Maker> | undefined;

/** The maker of PDFs with its fonts. Where the app is not kept on the device it is called when the page opens, so that it is there when the network is not. */
export function pdfMaker(): Promise<Maker> {
  ready ??= load().catch((error: unknown) => {
    ready = undefined;
    throw error;
  });
  return ready;
}

async function load(): Promise<Maker> {
  const module = await import('pdfmake/build/pdfmake');
  const maker = ('default' in module ? module.default : module) as Maker;
  const fonts = await Promise.all(
    FONTS.map(async ({ name }) => {
      const [normal, bold] = await Promise.all(FILES[name].map(base64));
      return { name, normal: normal!, bold: bold! };
    }),
  );
  const files = fonts.flatMap(({ name, normal, bold }) => [
    [`${name}.woff`, normal],
    [`${name}-bold.woff`, bold],
  ]);
  maker.addVirtualFileSystem(Object.fromEntries(files));
  const faces = FONTS.map(({ name }) => {
    const [normal, bold] = [`${name}.woff`, `${name}-bold.woff`];
    return [name, { normal, bold, italics: normal, bolditalics: bold }];
  });
  maker.addFonts(Object.fromEntries(faces));
  return maker;
}

async function base64(url: URL): Promise<string> {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

/** A sheet as a PDF on as few pages as its smallest letters need, with the largest letters that keep it on them. */
export async function makePdf(sheet: (points: number) => TDocumentDefinitions): Promise<Blob> {
  const maker = await pdfMaker();
  // Its fonts have no other figures.
  const inLetters = async (points: number) => {
    let pages = 1;
    const definition: TDocumentDefinitions = {
      ...eachText(toldAll(sheet(points), { ...manner(), figures: 'western' }), withoutMarks),
      footer: (_, count) => {
        pages = count;
        return null;
      },
    };
    const blob = await maker.createPdf(definition).getBlob();
    return { pages, blob };
  };
  let best = await inLetters(SIZES.at(-1)!);
  const search = halving(SIZES.slice(0, -1));
  let turn = search.next();
  while (!turn.done) {
    const tried = await inLetters(turn.value);
    const fits = tried.pages <= best.pages;
    if (fits) best = tried;
    turn = search.next(fits);
  }
  return best.blob;
}
