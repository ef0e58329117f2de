import { decimals } from '@hosket/core';
/** How well the sheets in use are filled, over the seconds of a search. */
export function SearchCurve({
  curve,
  seconds,
}: {
  curve: readonly { seconds: number; percent: number }[];
  seconds: number;
}) {
  const width = 150;
  const height = 26;
  const lowest = Math.min(...curve.map(({ percent }) => percent)) - 1;
  const highest = Math.max(...curve.map(({ percent }) => percent)) + 1;
  const x = (s: number) => (s / Math.max(0.1, seconds)) * (width - 2) + 1;
  const y = (percent: number) => height - 2 - ((percent - lowest) / (highest - lowest)) * (height - 4);
  const steps = curve.map(({ seconds: s, percent }, k) => `${k ? `H${x(s)}V` : `M${x(s)} `}${y(percent)}`).join('');
  const [first, last] = [curve[0].percent, curve[curve.length - 1].percent];
  const said = `Filled as far as pieces reach: ${decimals(first, 1)} % at first, ${decimals(last, 1)} % now`;
  return (
    <span className="flex items-center gap-1.5 text-xs text-muted">
      <svg width={width} height={height} role="img" aria-label={said}>
        <path d={`${steps}H${width - 1}`} fill="none" stroke="var(--clay)" strokeWidth={1.6} />
      </svg>
      <span className="figure">
        {decimals(first, 0)} → {decimals(last, 1)} % filled
      </span>
    </span>
  );
}
