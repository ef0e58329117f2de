import type { Operation } from '@hosket/core';

/** The texture that a coat of each operation is drawn with, in build-ups and wherever coats are told apart. */
export const coatTexture = (operation: Operation): string => `url(#coat-${operation})`;

const dots = (ink: string, r: number, ...places: [number, number][]) =>
  places.map(([x, y]) => <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={ink} />);

/** One set a page: what is spread is stippled, what is painted is lined, what stands up is drawn standing. */
export function CoatPatterns() {
  const pattern = (id: Operation, size: number, children: React.ReactNode) => (
    <pattern id={`coat-${id}`} width={size} height={size} patternUnits="userSpaceOnUse">
      <rect width={size} height={size} fill="var(--sheet)" />
      {children}
    </pattern>
  );
  const line = (d: string, ink = 'var(--graphite)', width = 1) => (
    <path d={d} stroke={ink} strokeWidth={width} fill="none" />
  );
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true" focusable="false">
      <defs>
        {pattern('set', 14, <path d="M2 12L4 4L10 3L12 11Z" fill="var(--line)" stroke="var(--graphite)" />)}
        {pattern(
          'skin',
          6,
          <>
            <rect width="6" height="6" fill="var(--skin)" />
            {dots('var(--ochre-text)', 0.8, [1.5, 1.5], [4.5, 4.5])}
          </>,
        )}
        {pattern('seal', 5, line('M0 2.5H5', 'var(--graphite)', 2.2))}
        {pattern('paint', 6, line('M0 6L6 0M-1 1L1 -1M5 7L7 5', 'var(--clay)', 1.3))}
        {pattern('wash', 10, line('M0 3C2 1 4 5 6 3S9 3 10 3M0 8C2 6 4 10 6 8S9 8 10 8', 'var(--water)', 1.1))}
        {pattern('dry-brush', 8, line('M0 2H4M2 5H7M1 7H3', 'var(--ochre-text)', 1.1))}
        {pattern('powder', 5, dots('var(--muted)', 0.6, [1, 1], [3, 2.5], [1.5, 4]))}
        {pattern('scatter', 8, dots('var(--ochre-text)', 1.1, [2, 2], [6, 3], [4, 6.5]))}
        {pattern('grass', 7, line('M1.5 7V2M3.5 7L5 1.5M6 7V3.5', 'var(--moss)', 1.2))}
        {pattern('spread', 8, line('M0 4C2 0 4 0 4 4S6 8 8 4', 'var(--moss)', 1.4))}
        {pattern('plant', 12, line('M6 11V6M6 8L3 4M6 7L9 3M6 6L6 2', 'var(--moss)', 1.3))}
        {pattern('varnish', 9, line('M0 9L9 0', 'var(--line)', 2))}
        {pattern('face', 8, line('M0 0V8M4 0V8', 'var(--muted)', 1))}
      </defs>
    </svg>
  );
}
