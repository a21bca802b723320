import type { PhotoAsText } from '@/core/records/rest';
import { say } from '@/core/say/say';
import type { Pantry, StoredPhoto } from './db';

const MOST_BYTES = 8_000_000;

/** Keeps a photo of an evening as a file; a sentence when it is no picture, or too large. */
export async function keepPhoto(
  db: Pantry,
  file: Blob,
  now: number,
): Promise<{ readonly ok: true; readonly id: string } | { readonly ok: false; readonly sentence: string }> {
  if (!file.type.startsWith('image/')) {
    return {
      ok: false,
      sentence: file.type
        ? say('A photo: this must be a picture; found {type}.', { type: file.type })
        : say('A photo: this must be a picture; found a file of no known kind.'),
    };
  }
  if (file.size > MOST_BYTES) {
    return {
      ok: false,
      sentence: say('A photo: at most {most} MB; this one has {size}.', {
        most: MOST_BYTES / 1_000_000,
        size: (file.size / 1_000_000).toFixed(1),
      }),
    };
  }
  const id = `photo-${now}`;
  await db.photos.put({ id, blob: file });
  return { ok: true, id };
}

/** Bytes turned into text at once: more would not fit among the arguments of a call. */
const CHUNK = 0x8000;

export async function photoAsText({ id, blob }: StoredPhoto): Promise<PhotoAsText> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += CHUNK) text += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return { id, type: blob.type, base64: btoa(text) };
}

export function photoOfText({ id, type, base64 }: PhotoAsText): StoredPhoto {
  return { id, blob: new Blob([Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))], { type }) };
}
