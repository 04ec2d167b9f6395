import { expect, test } from '@jest/globals';
import sharp from 'sharp';
import { smallerPicture } from './smallerPicture.ts';

/** A picture that does not press well: noise. */
async function noise(width: number, height: number, format: 'png' | 'jpeg' = 'png') {
  const pixels = Buffer.from(Uint8Array.from({ length: width * height * 3 }, (_, at) => (at * 7919) % 251));
  const bytes = await sharp(pixels, { raw: { width, height, channels: 3 } })
    [format]()
    .toBuffer();
  return { bytes, type: `image/${format}` };
}

test('a wide picture is made as narrow as it is asked for, and keeps its shape', async () => {
  const small = await smallerPicture(await noise(800, 400), 320);
  expect(small.type).toBe('image/webp');
  expect(await sharp(small.bytes).metadata()).toMatchObject({ width: 320, height: 160, format: 'webp' });
});

test('a narrow one, one that cannot be read and one that is too large stay as they are', async () => {
  const narrow = await noise(100, 40);
  expect(await smallerPicture(narrow, 320)).toBe(narrow);
  const broken = { bytes: Buffer.from('no picture'), type: 'image/png' };
  expect(await smallerPicture(broken, 320)).toBe(broken);
  const cut = { bytes: (await noise(800, 400)).bytes.subarray(0, 400), type: 'image/png' };
  expect(await smallerPicture(cut, 320)).toBe(cut);
  const flat = await sharp({ create: { width: 9000, height: 9000, channels: 3, background: '#fff' } })
    .png()
    .toBuffer();
  const huge = { bytes: flat, type: 'image/png' };
  expect(await smallerPicture(huge, 320)).toBe(huge);
});
