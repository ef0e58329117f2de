import type { ProposalReport } from '@hosket/core';
import { CartesianGrid, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from 'recharts';
import { useSize } from '../../instruments/handling/useSize.ts';
import { useProject } from '../../store/projectStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { type Measure, measured, measures, offerKey, sayMeasure } from './offers.ts';

interface Props {
  offers: readonly ProposalReport[];
  across: Measure;
  up: Measure;
  /** Which are marked, and the one that is built. */
  marked: readonly string[];
  built: string;
  onPick: (offer: ProposalReport) => void;
}

interface Dot {
  x: number;
  y: number;
  offer: ProposalReport;
  key: string;
}

/** Every stack that can be built as a point; those that another beats in every way are faded. */
export default function OffersChart({ offers, across, up, marked, built, onPick }: Props) {
  const [room, width, height] = useSize();
  const { currency } = useProject();
  const say = useSay();
  const dots = offers.map(
    (offer): Dot => ({ x: measured(offer, across), y: measured(offer, up), offer, key: offerKey(offer) }),
  );
  const beaten = dots.filter(({ offer }) => offer.beaten);
  const good = dots.filter(({ offer }) => !offer.beaten);
  const title = (key: Measure) => measures.find((measure) => measure.key === key)?.title ?? '';
  const tick = (key: Measure) => (value: number) => sayMeasure(key, value, say, currency);
  const dot = ({ cx = 0, cy = 0, payload }: { cx?: number; cy?: number; payload?: Dot }) => {
    if (!payload) return <g />;
    const { offer, key } = payload;
    const isMarked = marked.includes(key);
    const named = offer.names.length > 0;
    return (
      <g className="cursor-pointer" onClick={() => onPick(offer)} opacity={offer.beaten ? 0.35 : 1}>
        <circle
          cx={cx}
          cy={cy}
          r={named ? 5.5 : offer.beaten ? 2.5 : 3.5}
          fill={
            key === built ? 'var(--clay)' : named ? 'var(--graphite)' : offer.beaten ? 'var(--muted)' : 'var(--sheet)'
          }
          stroke={key === built ? 'var(--clay)' : 'var(--graphite)'}
          strokeWidth={offer.beaten ? 0 : 1.2}
        />
        {isMarked && <circle cx={cx} cy={cy} r={9.5} fill="none" stroke="var(--clay)" strokeWidth={1.6} />}
      </g>
    );
  };
  return (
    <div
      ref={room}
      role="img"
      aria-label={`Chart of ${offers.length} stacks, ${title(across)} against ${title(up)}; the list under it says the same`}
      className="h-full min-h-[230px] w-full"
    >
      {width > 0 && (
        <ScatterChart
          width={width}
          height={Math.max(220, height)}
          margin={{ top: 8, right: 16, bottom: 18, left: 8 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--line)" strokeWidth={0.6} />
          <XAxis
            type="number"
            dataKey="x"
            tickFormatter={tick(across)}
            tick={{ fontSize: 11, fill: 'var(--muted)' }}
            stroke="var(--line)"
            label={{ value: title(across), position: 'insideBottom', offset: -12, fontSize: 12, fill: 'var(--muted)' }}
          />
          <YAxis
            type="number"
            dataKey="y"
            width={74}
            tickFormatter={tick(up)}
            tick={{ fontSize: 11, fill: 'var(--muted)' }}
            stroke="var(--line)"
            label={{
              value: title(up),
              angle: -90,
              position: 'insideLeft',
              offset: 4,
              fontSize: 12,
              fill: 'var(--muted)',
            }}
          />
          <Tooltip
            cursor={false}
            content={({ payload }) => {
              const under = payload?.[0]?.payload as Dot | undefined;
              return under ? (
                <div className="border border-line bg-sheet px-2 py-1 text-xs">
                  {under.offer.names.length > 0 && <strong className="block">{under.offer.names.join(', ')}</strong>}
                  {under.offer.school}, {under.offer.totals.layers} layers
                  <br />
                  {title(across)} {tick(across)(under.x)}, {title(up)} {tick(up)(under.y)}
                </div>
              ) : null;
            }}
          />
          <Scatter data={beaten} shape={dot} isAnimationActive={false} />
          <Scatter data={good} shape={dot} isAnimationActive={false} />
        </ScatterChart>
      )}
    </div>
  );
}
