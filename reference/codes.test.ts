import jsQR from 'jsqr';
import { create } from 'qrcode';
import { describe, expect, it } from 'vitest';
import { FRAME_BYTES, framesOf, searchedAt } from '@/core/formats/frames';
import { seededRandom } from '@/core/schedule/random';

// Codes of a meal against a decoder that others wrote (jsQR 1.4, as the app has it), at every distance: it takes the number of dots for another at some
// sizes of the picture, and for nothing at all at others.

interface Grey {
  readonly side: number;
  readonly dots: Float32Array;
}

/** What a screen shows of a frame, at one size whatever its dots are: some are a pixel wider than others. */
function shown(frame: Uint8Array, mask: 0 | 3, side: number): Grey {
  const { modules } = create([{ data: frame, mode: 'byte' }], { errorCorrectionLevel: 'L', maskPattern: mask });
  const margin = 4;
  const across = modules.size + 2 * margin;
  const dots = Float32Array.from({ length: side * side }, (_, index) => {
    const [row, column] = [Math.floor(index / side), index % side].map(
      (at) => Math.floor((at * across) / side) - margin,
    ) as [number, number];
    const isInside = Math.min(row, column) >= 0 && Math.max(row, column) < modules.size;
    return isInside && modules.data[row * modules.size + column] ? 0 : 255;
  });
  return { side, dots };
}

/** The same at another size, by what is near in all four directions. */
function resized({ side: from, dots }: Grey, side: number): Grey {
  const at = (index: number) => Math.min(from - 1, Math.max(0, ((index + 0.5) * from) / side - 0.5));
  const grey = Float32Array.from({ length: side * side }, (_, index) => {
    const [y, x] = [at(Math.floor(index / side)), at(index % side)];
    const [top, left] = [Math.floor(y), Math.floor(x)];
    const [below, right] = [Math.min(from - 1, top + 1), Math.min(from - 1, left + 1)];
    const row = (of: number) => dots[of * from + left]! * (1 - (x - left)) + dots[of * from + right]! * (x - left);
    return row(top) * (1 - (y - top)) + row(below) * (y - top);
  });
  return { side, dots: grey };
}

/** What is read of a code before grey, in a picture of which it fills so much. */
function read({ side, dots }: Grey, width: number, height: number): Uint8Array | null {
  const picture = new Uint8ClampedArray(width * height * 4).fill(119);
  const [left, top] = [Math.floor((width - side) / 2), Math.floor((height - side) / 2)];
  for (const [index, grey] of dots.entries())
    picture.fill(grey, ...pixel((top + Math.floor(index / side)) * width + left + (index % side)));
  const found = jsQR(picture, width, height, { inversionAttempts: 'dontInvert' });
  return found && Uint8Array.from(found.binaryData);
}
const pixel = (index: number) => [index * 4, index * 4 + 4] as const;

describe('a code of a meal', () => {
  const chance = seededRandom(7);
  const bytes = (length: number) => Uint8Array.from({ length }, () => chance.below(256));

  it.each([60, 400, 511, 560, 600, FRAME_BYTES])('of %i bytes is read at every distance, within a round', (length) => {
    const [frame] = framesOf(bytes(length), 1)!;
    const screen = shown(frame!, length % 2 ? 0 : 3, 560);
    for (const seen of [380, 440, 500, 520, 600, 660, 700]) {
      const camera = resized(screen, seen);
      const sizes = searchedAt(960);
      const isRead = (longer: number) =>
        read(
          longer === 960 ? camera : resized(camera, Math.round((seen * longer) / 960)),
          longer,
          Math.round((longer * 3) / 4),
        )?.toString() === frame!.toString();
      expect(sizes.some(isRead), `${seen} pixels of 960`).toBe(true);
    }
  });

  it('is searched at the camera’s own size too, and never made larger', () => {
    expect(searchedAt(1920).at(-1)).toBe(1920);
    expect(Math.max(...searchedAt(640))).toBe(640);
    expect(new Set(searchedAt(960)).size).toBe(6);
  });
});
