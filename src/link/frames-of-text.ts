import { framesOf, packed } from '@/core/formats/frames';

/** A text as frames of a transfer of its own; null where it is too long for codes. */
export async function framesOfText(text: string): Promise<readonly Uint8Array[] | null> {
  const [transfer] = crypto.getRandomValues(new Uint32Array(1));
  return framesOf(await packed(text), transfer!);
}
