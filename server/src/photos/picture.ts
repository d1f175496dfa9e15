import { bad, good, type Outcome } from '@iron-patch/core';
import sharp, { type Sharp } from 'sharp';

/** A picture made fit to keep: turned upright, scaled, and without anything that the camera wrote into it. */
export interface Picture {
  readonly large: Buffer;
  readonly small: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

const LARGE_PX = 2000;
const SMALL_PX = 400;
const QUALITY = 82;
/** A small file can unpack to a huge picture. */
const MOST_PIXELS = 80_000_000;
const TAKEN = ['jpeg', 'png', 'webp'];

const scaled = (upright: Sharp, px: number): Promise<Buffer> =>
  // Written anew without metadata: position, camera and owner stay out.
  upright
    .clone()
    .resize({ width: px, height: px, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: QUALITY, mozjpeg: false })
    .toBuffer();

/**
 * Reads an uploaded file by what it holds, whatever it calls itself.
 *
 * @returns a reason when it is no JPEG, PNG or WebP picture
 */
export async function readPicture(file: Buffer): Promise<Outcome<Picture>> {
  const refused = bad('picture', 'This is no JPEG, PNG or WebP picture that can be read. Take it again, or save it as JPEG.', 'picture');
  try {
    const image = sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { format, pages } = await image.metadata();
    if (!TAKEN.includes(format ?? '') || (pages ?? 1) > 1) return refused;
    const upright = image.rotate();
    const large = await scaled(upright, LARGE_PX);
    const { width, height } = await sharp(large).metadata();
    return good({ large, small: await scaled(upright, SMALL_PX), widthPx: width, heightPx: height });
  } catch {
    // What the decoder cannot read is no picture to us.
    return refused;
  }
}
