import type { Ring } from '@hosket/core';

/** A sheet or offcut as it is drawn on the bench: its near left corner in the drawing (y down), and its size, mm. */
export interface OnBench {
  id: string;
  x: number;
  y: number;
  widthMm: number;
  depthMm: number;
}

/** Room round sheets, and for the name over each, mm of the drawing per mm of the widest one. */
const ROOM = 0.05;

const sizeOf = (ring: Ring) => ({
  widthMm: Math.max(...ring.map(([x]) => x)),
  depthMm: Math.max(...ring.map(([, y]) => y)),
});

/** Lays sheets out in rows as on a bench, at one scale; gives where each lies and how large the whole is. `aspect` is that of the room, width over height. */
export function benchLayout(
  beds: readonly { id: string; outline: Ring }[],
  aspect: number,
): { beds: OnBench[]; widthMm: number; heightMm: number; nameMm: number } {
  const sizes = beds.map(({ id, outline }) => ({ id, ...sizeOf(outline) }));
  const widest = Math.max(1, ...sizes.map(({ widthMm }) => widthMm));
  let best: ReturnType<typeof inRows> | null = null;
  // As many in a row as make the whole largest in the room.
  for (let n = 1; n <= Math.max(1, beds.length); n++) {
    const whole = inRows(sizes, widest * n * (1 + ROOM), widest * ROOM);
    const fill = Math.min(aspect / whole.widthMm, 1 / whole.heightMm);
    if (!best || fill > Math.min(aspect / best.widthMm, 1 / best.heightMm)) best = whole;
  }
  return best ?? { beds: [], widthMm: 1, heightMm: 1, nameMm: 1 };
}

function inRows(sizes: readonly Omit<OnBench, 'x' | 'y'>[], rowMm: number, room: number) {
  const beds: OnBench[] = [];
  const nameMm = room;
  let x = room / 2;
  let y = nameMm;
  let deep = 0;
  let widthMm = 0;
  for (const size of sizes) {
    if (x > room && x + size.widthMm > rowMm) [x, y, deep] = [room / 2, y + deep + nameMm + room / 2, 0];
    beds.push({ ...size, x, y });
    x += size.widthMm + room;
    deep = Math.max(deep, size.depthMm);
    widthMm = Math.max(widthMm, x - room / 2);
  }
  return { beds, widthMm, heightMm: y + deep + room / 2, nameMm };
}
