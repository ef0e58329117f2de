/** How large a picture is, by its head alone (PNG, JPEG, WebP): unpacked it may be a thousand times its file. */
import { bad, good, type Result } from '@hosket/core';
import { imageSize } from 'image-size';

/** Unpacked it takes four bytes a pixel. */
const MOST_PIXELS = 60_000_000;

/** Width and height in pixels; refused where it would be too much to unpack, or cannot be told. */
export function pictureSize(bytes: Uint8Array): Result<{ widthPx: number; heightPx: number }> {
  let size: { width: number; height: number; type?: string } = { width: 0, height: 0 };
  try {
    size = imageSize(bytes);
  } catch {
    // What it is not made for it says by failing.
  }
  if (!['png', 'jpg', 'webp'].includes(size.type ?? ''))
    return bad('picture', '(whole file)', 'It is damaged, or no picture.', 'Save it again as PNG or JPEG.');
  const { width, height } = size;
  if (width * height > MOST_PIXELS)
    return bad(
      'large',
      '(whole file)',
      `It has ${width} x ${height} pixels; ${MOST_PIXELS / 1e6} million are the most.`,
      'Save it smaller: under a plan 2,000 across show all there is to see.',
    );
  return good({ widthPx: width, heightPx: height });
}
