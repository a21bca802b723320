import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { SIZES } from '@/core/paper/pdf';
import { halving } from './halving';

type Maker = typeof import('pdfmake/build/pdfmake');

const FONTS = {
  'main.woff': new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
    import.meta.url,
  ),
  'main-bold.woff': new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
    import.meta.url,
  ),
  'extended.woff': new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
    import.meta.url,
  ),
  'extended-bold.woff': new URL(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
    import.meta.url,
  ),
};

let ready: Promise<Maker> | undefined;

/** The maker of PDFs with its fonts. Called when the page opens, so that it is there when the network is not. */
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
  const files = await Promise.all(Object.entries(FONTS).map(async ([name, url]) => [name, await base64(url)] as const));
  maker.addVirtualFileSystem(Object.fromEntries(files));
  maker.addFonts({
    Main: { normal: 'main.woff', bold: 'main-bold.woff', italics: 'main.woff', bolditalics: 'main-bold.woff' },
    Extended: {
      normal: 'extended.woff',
      bold: 'extended-bold.woff',
      italics: 'extended.woff',
      bolditalics: 'extended-bold.woff',
    },
  });
  return maker;
}

async function base64(url: URL): Promise<string> {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

/** A sheet as a PDF, with the largest letters that keep it on one page; the smallest, and more pages, where none does. */
export async function makePdf(sheet: (points: number) => TDocumentDefinitions): Promise<Blob> {
  const maker = await pdfMaker();
  let best: Blob | undefined;
  const search = halving(SIZES);
  let turn = search.next();
  while (!turn.done) {
    let pages = 1;
    const definition: TDocumentDefinitions = {
      ...sheet(turn.value),
      footer: (_, count) => {
        pages = count;
        return null;
      },
    };
    const blob = await maker.createPdf(definition).getBlob();
    if (pages === 1 || turn.value === SIZES.at(-1)) best = blob;
    turn = search.next(pages === 1);
  }
  return best!;
}
