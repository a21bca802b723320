/** The longer side of a kept picture, in pixels: enough to see how brown a crust was. */
const MOST_SIDE = 1600;
const QUALITY = 0.85;
/** A small file of a small picture stays as it is. */
const SMALL_BYTES = 500_000;

/** A picture made small enough to keep; as it is where this browser cannot read it. */
export async function shrunk(picture: Blob): Promise<Blob> {
  try {
    const bitmap = await createImageBitmap(picture);
    const scale = Math.min(1, MOST_SIDE / Math.max(bitmap.width, bitmap.height));
    if (scale === 1 && picture.size < SMALL_BYTES) return picture;
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    return await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
  } catch {
    return picture;
  }
}
