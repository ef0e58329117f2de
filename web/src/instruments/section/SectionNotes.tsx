import type { SectionSample } from '@hosket/core';
import { Figure, useSay } from '../../ui/Figures.tsx';

interface NotesProps {
  left: number;
  width: number;
  sample: SectionSample | null;
  samples: readonly SectionSample[];
  layerCount: number;
}

/** Beside the drawing, where there is room: what lies under the pointer, or what the whole cut shows. */
export function SectionNotes({ left, width, sample, samples, layerCount }: NotesProps) {
  const say = useSay();
  if (width - left < 210) return null;
  const rows = sample ? rowsAt(sample, layerCount, say.mm) : rowsAlong(samples, say.mm);
  return (
    <div className="pointer-events-none absolute top-0 w-[230px] text-xs" style={{ left }}>
      <p className="leading-[19px] text-muted">{sample ? 'under the pointer' : 'line finished, sheets bare foam'}</p>
      <dl>
        {rows.map(([name, value]) => (
          <div key={name} className="flex justify-between border-b border-line leading-[18px]">
            <dt>{name}</dt>
            <dd>
              <Figure text={value} />
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

const rowsAt = (sample: SectionSample, layerCount: number, mm: (value: number) => string): [string, string][] => [
  ['from the left', mm(sample.alongMm)],
  ['ground', mm(sample.groundMm)],
  ['foam wanted', mm(sample.targetMm)],
  ['foam stacked', `${mm(sample.foamMm)}, ${sample.layer} of ${layerCount}`],
  sample.foamMm > sample.targetMm + 0.05
    ? ['to carve', mm(sample.foamMm - sample.targetMm)]
    : ['to fill', mm(Math.max(0, sample.targetMm - sample.foamMm))],
];

function rowsAlong(samples: readonly SectionSample[], mm: (value: number) => string): [string, string][] {
  const there = samples.filter((sample) => sample.onBase);
  if (there.length < 2) return [];
  const most = (pick: (sample: SectionSample) => number) => Math.max(...there.map(pick));
  const slopes = there
    .slice(1)
    .map((s, k) => Math.abs(s.groundMm - there[k].groundMm) / (s.alongMm - there[k].alongMm));
  return [
    ['length', mm(there[there.length - 1].alongMm - there[0].alongMm)],
    ['ground', `${mm(-most((s) => -s.groundMm)).replace(/ \w+$/, '')} to ${mm(most((s) => s.groundMm))}`],
    ['steepest along it', `${Math.round((Math.atan(Math.max(...slopes)) * 180) / Math.PI)}°`],
    ['most to carve', mm(most((s) => Math.max(0, s.foamMm - s.targetMm)))],
    ['most to fill', mm(most((s) => Math.max(0, s.targetMm - s.foamMm)))],
  ];
}

export function sectionWords(samples: readonly SectionSample[], mm: (value: number) => string, name?: string): string {
  const which = name ? `Section ${name}` : 'Section';
  const there = samples.filter((sample) => sample.onBase);
  if (!there.length) return `${which}: the line lies off the base`;
  const heights = there.map((sample) => sample.groundMm);
  return `${which} along ${mm(there[there.length - 1].alongMm)}: ground from ${mm(Math.min(...heights))} to ${mm(Math.max(...heights))}`;
}
