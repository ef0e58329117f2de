import { useEffect, useRef } from 'react';
import type { Band } from './band.ts';

const WIDTH = 16;
const HEIGHT = 11;

/** A piece of a tint with its texture, for keys and lists. */
export function Swatch({ band: { tint, grain } }: { band: Band }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const picture = new ImageData(WIDTH, HEIGHT);
    for (let j = 0; j < HEIGHT; j++)
      for (let i = 0; i < WIDTH; i++) {
        const light = grain?.(i, j) ?? 1;
        picture.data.set([...tint.map((part) => part * light), 255], 4 * (j * WIDTH + i));
      }
    context.putImageData(picture, 0, 0);
  }, [tint, grain]);
  return (
    <span aria-hidden="true" className="shrink-0 border border-muted leading-none">
      <canvas ref={canvas} width={WIDTH} height={HEIGHT} />
    </span>
  );
}
