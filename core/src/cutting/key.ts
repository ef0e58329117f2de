/** A short mark of a text: two texts that differ have different ones, as good as always (FNV-1a, 32 bits, twice). */
export function markOf(text: string): string {
  const hash = (seed: number) => {
    let h = seed;
    for (let k = 0; k < text.length; k++) h = Math.imul(h ^ text.charCodeAt(k), 0x01000193);
    return (h >>> 0).toString(16).padStart(8, '0');
  };
  return hash(0x811c9dc5) + hash(0x050c5d1f);
}
