import type { SectionSample } from '@hosket/core';
import { decimals } from '@hosket/core';
import { useState } from 'react';
import { useSay } from '../../ui/Figures.tsx';
import { SectionGrip } from './SectionGrip.tsx';
import type { SectionFrame } from './sectionFrame.ts';

interface Props {
  frame: SectionFrame;
  samples: readonly SectionSample[];
  lengthMm: number;
}

/** Two points on the ground line, and what lies between them: along, up, straight, and how steep. */
export function SectionMeasure({ frame, samples, lengthMm }: Props) {
  const say = useSay();
  const [ends, setEnds] = useState<readonly [number, number]>([lengthMm * 0.25, lengthMm * 0.5]);
  if (samples.length < 2) return null;
  const height = (along: number) =>
    samples[Math.round((Math.min(along, lengthMm) / lengthMm) * (samples.length - 1))].groundMm;
  const [a, b] = ends.map((along) => Math.min(lengthMm, along));
  const rise = height(b) - height(a);
  const run = Math.abs(b - a);
  const degrees = (Math.atan2(Math.abs(rise), run) * 180) / Math.PI;
  const words = `${say.mm(run)} along, ${say.mm(Math.abs(rise))} ${rise * (b - a) < 0 ? 'down' : 'up'}, ${say.mm(Math.hypot(run, rise))} straight, ${decimals(degrees, 0)}°`;
  const [x0, y0, x1, y1] = [frame.across(a), frame.up(height(a)), frame.across(b), frame.up(height(b))];
  const grip = (which: 0 | 1) => {
    const set = (along: number) =>
      setEnds(([p, q]) => (which ? [p, Math.min(lengthMm, along)] : [Math.min(lengthMm, along), q]));
    const along = which ? b : a;
    return (
      <SectionGrip
        label={`${which ? 'Second' : 'First'} end of the measure, ${say.mm(along)} from the left, ground ${say.mm(height(along))}`}
        x={which ? x1 : x0}
        y={which ? y1 : y0}
        value={along}
        axis="along"
        pxPerMm={frame.pxPerMm}
        onPreview={set}
        onCancel={() => {}}
        onValue={set}
        say={say.mm}
      >
        <circle r={4.5} fill="var(--sheet)" stroke="var(--water)" strokeWidth={2} />
      </SectionGrip>
    );
  };
  return (
    <g>
      <path d={`M${x0} ${y0}L${x1} ${y1}`} stroke="var(--water)" strokeWidth={1.6} strokeDasharray="4 2" />
      {grip(0)}
      {grip(1)}
      <g transform={`translate(${Math.min(x0, x1)} 14)`} pointerEvents="none" data-testid="measure">
        <rect x={-4} y={-12} width={words.length * 6.9 + 10} height={17} rx={3} fill="var(--sheet)" opacity={0.92} />
        <text fontSize={12} className="figure" fill="var(--water)">
          {words}
        </text>
      </g>
    </g>
  );
}
