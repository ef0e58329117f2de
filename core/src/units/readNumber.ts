/** A number as it is written, with a decimal point or comma; NaN where it is none, as of an empty text. */
export function readNumber(text: string): number {
  const plain = text.trim().replace(',', '.');
  return plain === '' ? Number.NaN : Number(plain);
}
