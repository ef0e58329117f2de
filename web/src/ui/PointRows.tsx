import type { Point } from '@hosket/core';
import { Plus, X } from 'lucide-react';
import { Button } from './Button.tsx';
import { MeasureField } from './Field.tsx';

interface Props {
  points: readonly Point[];
  /** What each is called ("Point"), and its two measures. */
  name: string;
  measures: readonly [string, string];
  least?: readonly [number, number];
  most?: number;
  /** No fewer than so many may be left. */
  fewest: number;
  /** After its last one nothing can be added. */
  ends?: boolean;
  move: (k: number, to: [number, number]) => void;
  /** Left out where there is but one. */
  split?: (k: number) => void;
  remove?: (k: number) => void;
}

/** Points as numbers, one a row: moved, parted and taken out by keyboard. */
export function PointRows({ points, name, measures, least = [0, 0], most, fewest, ends, move, split, remove }: Props) {
  return points.map((point, k) => {
    const called = `${name.toLowerCase()} ${k + 1}`;
    return (
      <li key={k} className="mb-1 grid grid-cols-[1.4rem_1fr_1fr_auto_auto] items-center gap-1">
        <span className="text-xs text-muted">{k + 1}</span>
        {([0, 1] as const).map((axis) => (
          <MeasureField
            key={axis}
            hideLabel
            label={`${name} ${k + 1}, ${measures[axis]}`}
            least={least[axis]}
            most={most}
            value={point[axis]}
            onValue={(value) => move(k, axis ? [point[0], value] : [value, point[1]])}
          />
        ))}
        {split && (
          <Button
            tone="quiet"
            className="!px-1"
            aria-label={`Add a ${name.toLowerCase()} after ${called}`}
            disabled={ends && k === points.length - 1}
            onClick={() => split(k)}
          >
            <Plus size={13} aria-hidden />
          </Button>
        )}
        {remove && (
          <Button
            tone="quiet"
            className="!px-1"
            aria-label={`Take out ${called}`}
            disabled={points.length <= fewest}
            onClick={() => remove(k)}
          >
            <X size={13} aria-hidden />
          </Button>
        )}
      </li>
    );
  });
}

/** A list with a point half way on to the next after the k-th; round a closed one the last leads on to the first. */
export function partedAfter(points: readonly Point[], k: number): [number, number][] {
  const [[ax, ay], [bx, by]] = [points[k], points[(k + 1) % points.length]];
  const all = points.map(([x, y]): [number, number] => [x, y]);
  return [...all.slice(0, k + 1), [(ax + bx) / 2, (ay + by) / 2], ...all.slice(k + 1)];
}
