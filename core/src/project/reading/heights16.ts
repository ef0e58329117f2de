/** Heights in a project file: unsigned 16-bit numbers, low byte first, in base 64 (RFC 4648, without line breaks). */

const DIGITS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';
const values = new Int16Array(128).fill(-1);
for (let k = 0; k < DIGITS.length; k++) values[DIGITS.charCodeAt(k)] = k;

/** Writes numbers from 0 to 65535. */
export function writeHeights(heights: ArrayLike<number>): string {
  const bytes = new Uint8Array(2 * heights.length);
  for (let n = 0; n < heights.length; n++) {
    bytes[2 * n] = heights[n] & 255;
    bytes[2 * n + 1] = heights[n] >> 8;
  }
  let text = '';
  for (let k = 0; k < bytes.length; k += 3) {
    const three = (bytes[k] << 16) | ((bytes[k + 1] ?? 0) << 8) | (bytes[k + 2] ?? 0);
    text += DIGITS[three >> 18] + DIGITS[(three >> 12) & 63];
    text += k + 1 < bytes.length ? DIGITS[(three >> 6) & 63] : '=';
    text += k + 2 < bytes.length ? DIGITS[three & 63] : '=';
  }
  return text;
}

/** Reads `count` numbers; what is missing or is no base 64 reads as 0. */
export function readHeights(text: string, count: number): Uint16Array {
  const bytes = new Uint8Array(2 * count);
  for (let k = 0, n = 0; n < bytes.length && k < text.length; k += 4) {
    let four = 0;
    for (let d = 0; d < 4; d++) four = (four << 6) | Math.max(0, values[text.charCodeAt(k + d) & 127] ?? 0);
    for (let shift = 16; shift >= 0 && n < bytes.length; shift -= 8) bytes[n++] = (four >> shift) & 255;
  }
  return Uint16Array.from({ length: count }, (_, n) => bytes[2 * n] | (bytes[2 * n + 1] << 8));
}
