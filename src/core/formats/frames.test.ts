import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FRAME_BYTES, framesOf, type Gathered, MOST_FRAMES, packed, unpacked, wholeOf, withFrame } from './frames';

const bytes = (length: number) => Uint8Array.from({ length }, (_, k) => (k * 7919) % 251);

describe('a meal as a row of codes', () => {
  it('is packed and unpacked as it was, letters of every script too', async () => {
    const text = `${'Lentil soup '.repeat(500)} Суп, سوپ, सूप`;
    const small = await packed(text);
    expect(small.length).toBeLessThan(text.length / 10);
    expect(await unpacked(small)).toBe(text);
  });

  it('is refused where its check sum does not fit, or a part is not its own', async () => {
    const small = await packed('x'.repeat(2000) + Math.PI);
    for (const at of [small.length - 6, Math.floor(small.length / 2)]) {
      const spoilt = small.with(at, small[at]! ^ 1);
      expect(await unpacked(spoilt)).toBeNull();
    }
    expect(await unpacked(small.subarray(0, small.length - 1))).toBeNull();
    expect(await unpacked(new Uint8Array())).toBeNull();
  });

  it('is refused where it would unpack without end', async () => {
    expect(await unpacked(await packed('x'.repeat(20_000_001)))).toBeNull();
  });

  it('has as few frames as hold it, and none where they would be too many', () => {
    const sizes = [0, 1, FRAME_BYTES, FRAME_BYTES + 1, MOST_FRAMES * FRAME_BYTES, MOST_FRAMES * FRAME_BYTES + 1];
    expect(sizes.map((size) => framesOf(bytes(size), 1)?.length ?? null)).toEqual([1, 1, 1, 2, MOST_FRAMES, null]);
    // 644 bytes are what a code of version 17 holds at the lowest correction: ISO/IEC 18004, table 7.
    expect(Math.max(...framesOf(bytes(5000), 1)!.map(({ length }) => length))).toBeLessThanOrEqual(644);
  });

  it('is put together from frames in any order, seen twice or more, whatever was missed before', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9000 }),
        fc.integer({ min: 0, max: 2 ** 32 - 1 }),
        fc.infiniteStream(fc.nat()),
        (size, transfer, looks) => {
          const frames = framesOf(bytes(size), transfer)!;
          let seen: Gathered | null = null;
          let whole: Uint8Array | null = null;
          for (let look = 0; look < 2000 && !whole; look++) {
            seen = withFrame(seen, frames[looks.next().value! % frames.length]!);
            whole = seen && wholeOf(seen);
            if (seen!.parts.size < frames.length) expect(whole).toBeNull();
          }
          // A stream that never shows one of them shows the others all the same.
          if (whole) expect([...whole]).toEqual([...bytes(size)]);
          else expect(seen!.parts.size).toBeLessThan(frames.length);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('comes through a hundred times with three looks in ten lost', () => {
    const frames = framesOf(bytes(14_000), 77)!;
    for (let trial = 0; trial < 100; trial++) {
      let seen: Gathered | null = null;
      let chance = trial + 1;
      for (let look = 0; look < frames.length * 12 && !(seen && wholeOf(seen)); look++) {
        chance = (chance * 48271) % 2147483647;
        if (chance % 10 >= 3) seen = withFrame(seen, frames[look % frames.length]!) ?? seen;
      }
      expect([...wholeOf(seen!)!]).toEqual([...bytes(14_000)]);
    }
  });

  it('tells other codes from its own, and another transfer from the one before', () => {
    const [one, two] = framesOf(bytes(1000), 1)!;
    const seen = withFrame(null, one!)!;
    for (const other of ['https://example.org/menu', 'WC', ''])
      expect(withFrame(seen, new TextEncoder().encode(other))).toBeNull();
    const place = (at: number, value: number) => one!.with(at, value);
    // A place beyond the count, no frames, more than there may be.
    expect(withFrame(null, place(7, 2))).toBeNull();
    expect(withFrame(null, place(9, 0))).toBeNull();
    expect(withFrame(null, place(8, 255))).toBeNull();
    const next = withFrame(seen, framesOf(bytes(1000), 2)![0]!)!;
    expect([next.transfer, next.parts.size]).toEqual([2, 1]);
    expect(withFrame(seen, one!)).toBe(seen);
    expect([...wholeOf(withFrame(seen, two!)!)!]).toEqual([...bytes(1000)]);
  });
});
