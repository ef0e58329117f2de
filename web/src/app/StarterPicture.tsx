import type { Starter } from '@hosket/core';

const W = 96;
const D = 68;

const strokes: Partial<Record<Starter['draws'][number]['kind'], { stroke: string; width: number }>> = {
  way: { stroke: 'var(--ochre)', width: 4 },
  channel: { stroke: 'var(--water)', width: 8 },
  cliff: { stroke: 'var(--graphite)', width: 3 },
};
const fills: typeof strokes = {
  basin: { stroke: 'var(--water)', width: 1 },
  pit: { stroke: 'var(--foam-b)', width: 1 },
  mound: { stroke: 'var(--foam-a)', width: 1 },
};

/** A starter from above: its lines of height, its ways and its water. */
export function StarterPicture({ starter }: { starter: Starter | null }) {
  const place = ([x, y]: readonly [number, number]) => `${(x * W).toFixed(1)} ${((1 - y) * D).toFixed(1)}`;
  return (
    <svg viewBox={`0 0 ${W} ${D}`} aria-hidden="true" className="w-full border border-line bg-plaster">
      {starter?.draws.map(({ kind, name, at, as }) => {
        const closed = kind in fills || (as as { closed?: boolean } | undefined)?.closed === true;
        const line = strokes[kind];
        const path = `M${at.map(place).join('L')}${closed ? 'Z' : ''}`;
        if (kind === 'terraces')
          return [0, 0.14, 0.28, 0.42].map((up) => (
            <path
              key={up}
              d={`M${at.map(([x, y]) => place([x, y + up])).join('L')}`}
              fill="none"
              stroke="var(--graphite)"
              strokeWidth={2}
            />
          ));
        return (
          <path
            key={name}
            d={path}
            fill={fills[kind]?.stroke ?? 'none'}
            stroke={line?.stroke ?? 'var(--graphite)'}
            strokeWidth={line?.width ?? 1.2}
            strokeLinejoin="round"
          />
        );
      })}
    </svg>
  );
}
