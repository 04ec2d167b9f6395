import sharp from 'sharp';
import type { KeptPicture } from './pictureCache.ts';

/** Pixels of a picture that is made smaller at all, and seconds it may take: a small file may unfold to a huge picture. */
const mostPixels = 60_000_000;
const mostSeconds = 10;
/** Of WebP, from 1 to 100. */
const quality = 82;

/**
 * A picture no wider than so many pixels, as WebP; as it is where it is narrow enough, moves, or cannot be read. Runs
 * beside the server's own thread.
 */
export async function smallerPicture(picture: KeptPicture, width: number): Promise<KeptPicture> {
  try {
    const read = sharp(picture.bytes, { limitInputPixels: mostPixels, failOn: 'error', animated: false });
    const { width: own = 0, pages = 1 } = await read.metadata();
    if (own <= width || pages > 1) return picture;
    const bytes = await read
      .rotate()
      .resize({ width, withoutEnlargement: true })
      .webp({ quality })
      .timeout({ seconds: mostSeconds })
      .toBuffer();
    return bytes.length < picture.bytes.length ? { bytes, type: 'image/webp' } : picture;
  } catch {
    return picture;
  }
}
