import type { Ring } from '@hosket/core';

/** A sheet or offcut as it is drawn on the bench: its near left corner in the drawing (y down), and its size, mm. */
export interface OnBench {
  id: string;
  x: number;
  y: number;
  widthMm: number;
  depthMm: number;
}

/** Room round sheets, mm of the drawing per mm of the widest one. */
const ROOM = 0.05;
/** Room for the name over each sheet, pixels. */
const NAME_PX = 17;

const sizeOf = (ring: Ring) => ({
  widthMm: Math.max(...ring.map(([x]) => x)),
  depthMm: Math.max(...ring.map(([, y]) => y)),
});

/** Lays sheets out in rows as on a bench, all at one scale, as large as the room (pixels) holds; gives where each lies, how large the whole is, and the scale. */
export function benchLayout(
  beds: readonly { id: string; outline: Ring }[],
  room: { widthPx: number; heightPx: number },
): { beds: OnBench[]; widthMm: number; heightMm: number; scale: number } {
  const sizes = beds.map(({ id, outline }) => ({ id, ...sizeOf(outline) }));
  const widest = Math.max(1, ...sizes.map(({ widthMm }) => widthMm));
  const scaleOf = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }) =>
    Math.min(room.widthPx / widthMm, room.heightPx / heightMm);
  let best: ReturnType<typeof inRows> | null = null;
  // As many in a row as make the whole largest in the room; names need the same room at any scale.
  for (let n = 1; n <= Math.max(1, beds.length); n++) {
    const row = widest * n * (1 + ROOM);
    const first = inRows(sizes, row, widest * ROOM, 0);
    const whole = inRows(sizes, row, widest * ROOM, NAME_PX / scaleOf(first));
    if (!best || scaleOf(whole) > scaleOf(best)) best = whole;
  }
  return best ? { ...best, scale: scaleOf(best) } : { beds: [], widthMm: 1, heightMm: 1, scale: 1 };
}

function inRows(sizes: readonly Omit<OnBench, 'x' | 'y'>[], rowMm: number, room: number, nameMm: number) {
  const beds: OnBench[] = [];
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
  return { beds, widthMm, heightMm: y + deep + room / 2 };
}
