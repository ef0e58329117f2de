import { cutRings, meetRings, nestRings, type Point, type Polygon, polygonArea } from '../geometry/index.ts';
import { uniformFrom } from '../units/index.ts';

/** A widthMm x depthMm sheet cut at random into so many irregular pieces, each cut bent twice by up to `bent` of the piece's size: all of them fit on one such sheet. */
export function cutUp(widthMm: number, depthMm: number, count: number, seed: number, bent = 0.15): Polygon[] {
  const chance = uniformFrom(seed);
  let pieces: Polygon[] = [
    {
      outer: [
        [0, 0],
        [widthMm, 0],
        [widthMm, depthMm],
        [0, depthMm],
      ],
      holes: [],
    },
  ];
  while (pieces.length < count) {
    const [largest, ...rest] = pieces;
    const xs = largest.outer.map(([x]) => x);
    const ys = largest.outer.map(([, y]) => y);
    const middle: Point = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
    const wide = Math.max(...xs) - Math.min(...xs) > Math.max(...ys) - Math.min(...ys);
    const turn = (wide ? Math.PI / 2 : 0) + (chance() - 0.5) * 1.6;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const at = (along: number, off: number): Point => [
      middle[0] + along * c - off * s,
      middle[1] + along * s + off * c,
    ];
    const far = widthMm + depthMm;
    const size = Math.sqrt(polygonArea(largest));
    const bend = () => (chance() - 0.5) * size * bent;
    const blade: Point[] = [
      at(-far, bend()),
      at(-size * 0.25, bend()),
      at(size * 0.25, bend()),
      at(far, bend()),
      at(far, far),
      at(-far, far),
    ];
    const sides = [
      ...nestRings(meetRings([largest.outer], [blade])),
      ...nestRings(cutRings([largest.outer], [blade])),
    ].filter((piece) => polygonArea(piece) > 1);
    if (sides.length + rest.length > count) continue;
    pieces = [...rest, ...sides].sort((a, b) => polygonArea(b) - polygonArea(a));
  }
  return pieces;
}
