import type { Page, Pen } from '@hosket/core';
import { linePath } from '../handling/paths.ts';

const looks: Partial<Record<Pen, { width: number; dash?: string; ink?: string }>> = {
  cut: { width: 0.9 },
  hole: { width: 0.9 },
  seam: { width: 1.2, dash: '6 2' },
  next: { width: 0.6, dash: '5 3' },
  void: { width: 0.6, dash: '2 2' },
  page: { width: 0.4, dash: '2 3', ink: '#777' },
};

/** A page as it will be printed, small; paper is white in any light. */
export function PaperPage({ page }: { page: Page }) {
  const { widthMm, heightMm, strokes, words } = page;
  const draw = ([x, y]: readonly [number, number]) => [x, heightMm - y] as const;
  return (
    <svg
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      role="img"
      aria-label={page.title}
      className="block w-full border border-line"
    >
      <rect width={widthMm} height={heightMm} fill="#fff" />
      {strokes.map((stroke, k) => {
        const { width = 0.4, dash, ink = '#222' } = looks[stroke.pen] ?? {};
        return (
          <path
            key={k}
            d={linePath(stroke.points, draw, stroke.closed)}
            fill="none"
            stroke={ink}
            strokeWidth={width}
            strokeDasharray={dash}
          />
        );
      })}
      {words.map((word, k) => (
        <text
          key={k}
          x={word.at[0]}
          y={heightMm - word.at[1]}
          fontSize={word.sizeMm * 1.1}
          fontWeight={word.strong ? 600 : 400}
          textAnchor={word.align === 'middle' ? 'middle' : 'start'}
          fill="#222"
        >
          {word.text}
        </text>
      ))}
    </svg>
  );
}
