// A meal as a row of pictures that another device's camera reads: packed, cut into frames, and put together again from frames that come in any
// order, more than once, or only at the next round.

/**
 * The most bytes of the meal in a frame: with its head they fill a code of version 17 at the lowest correction (644 bytes, ISO/IEC 18004, table 7). Of
 * larger ones the decoder takes the number of dots for another more often.
 */
export const FRAME_BYTES = 634;
/** Bytes before them: two that say what it is, four of the transfer, two each for its place and the count, both from 0 and big-endian. */
const HEAD_BYTES = 10;
const MARK = [0x57, 0x43] as const;
/** The most frames of a transfer: minutes before a camera, and a file that is better carried as one. */
export const MOST_FRAMES = 400;
/** The most that is unpacked, in bytes. */
const MOST_UNPACKED = 20_000_000;

/** A text, packed (gzip, which carries a check sum). */
export async function packed(text: string): Promise<Uint8Array> {
  return bytesOf(new Blob([text]).stream().pipeThrough(new CompressionStream('gzip')), Number.POSITIVE_INFINITY);
}

/** What `packed` made, as text; null where its check sum does not fit or it would be endless. */
export async function unpacked(bytes: Uint8Array): Promise<string | null> {
  try {
    const stream = new Blob([bytes as BlobPart]).stream().pipeThrough(new DecompressionStream('gzip'));
    return new TextDecoder('utf-8', { fatal: true }).decode(await bytesOf(stream, MOST_UNPACKED));
  } catch {
    return null;
  }
}

async function bytesOf(stream: ReadableStream<Uint8Array>, most: number): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = stream.getReader();
  for (let next = await reader.read(); !next.done; next = await reader.read()) {
    chunks.push(next.value);
    size += next.value.length;
    if (size > most) throw new Error('It is longer than any meal.');
  }
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}

/** Cuts bytes into frames; `transfer` is a number under 2^32 that no other transfer has. Null where they are too many. */
export function framesOf(bytes: Uint8Array, transfer: number): readonly Uint8Array[] | null {
  const count = Math.max(1, Math.ceil(bytes.length / FRAME_BYTES));
  if (count > MOST_FRAMES) return null;
  // All as long as each other: what reads one reads the rest.
  const each = Math.ceil(bytes.length / count);
  return Array.from({ length: count }, (_, index) => {
    const part = bytes.subarray(index * each, (index + 1) * each);
    const frame = new Uint8Array(HEAD_BYTES + part.length);
    const head = new DataView(frame.buffer);
    frame.set(MARK);
    head.setUint32(2, transfer);
    head.setUint16(6, index);
    head.setUint16(8, count);
    frame.set(part, HEAD_BYTES);
    return frame;
  });
}

/** The longer side of a picture that is searched for a code, in pixels, where the camera has as many. */
const SEARCHED = 960;
const SHARES = [1, 3 / 4, 7 / 8, 2 / 3, 13 / 16, 11 / 12] as const;

/** The longer sides, in pixels, at which a picture of such a longer side is searched in turn: whose dots are not counted right at one size are at another. */
export function searchedAt(longer: number): readonly number[] {
  const most = Math.min(longer, SEARCHED);
  return [...SHARES.map((share) => Math.round(most * share)), ...(longer > most ? [longer] : [])];
}

/** What of a transfer has been seen. */
export interface Gathered {
  /** Which one: an id from 0 to 2^32 − 1. */
  readonly transfer: number;
  /** How many frames it has. */
  readonly count: number;
  readonly parts: ReadonlyMap<number, Uint8Array>;
}

/**
 * What has been seen with one code more: the same where it has been seen before; begun anew where another transfer is shown; null where the code is
 * none of ours.
 */
export function withFrame(before: Gathered | null, code: Uint8Array): Gathered | null {
  if (code.length <= HEAD_BYTES || code[0] !== MARK[0] || code[1] !== MARK[1]) return null;
  const head = new DataView(code.buffer, code.byteOffset, code.length);
  const [transfer, index, count] = [head.getUint32(2), head.getUint16(6), head.getUint16(8)];
  if (count === 0 || count > MOST_FRAMES || index >= count) return null;
  const isGoingOn = before?.transfer === transfer && before.count === count;
  if (isGoingOn && before.parts.has(index)) return before;
  const parts = new Map(isGoingOn ? before.parts : []).set(index, code.slice(HEAD_BYTES));
  return { transfer, count, parts };
}

/** The whole, once every frame has been seen. */
export function wholeOf({ count, parts }: Gathered): Uint8Array | null {
  if (parts.size < count) return null;
  const all = Array.from({ length: count }, (_, index) => parts.get(index)!);
  const whole = new Uint8Array(all.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of all) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
