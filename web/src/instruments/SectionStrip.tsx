import { baseOutline, type SectionSample, sectionAlong, type UnitSystem } from '@hosket/core';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { type PointerEvent, useMemo, useState } from 'react';
import { useProject } from '../store/projectStore.ts';
import { pickLayer, usePicked, useView } from '../store/viewStore.ts';
import { Button } from '../ui/Button.tsx';
import { Figure, useSay } from '../ui/Figures.tsx';
import { chosenSchool, usePlan } from '../worker/planStore.ts';
import { useSectionLine } from './sectionLine.ts';
import { sectionPaths } from './sectionShape.ts';
import { useSize } from './useSize.ts';

const PAD = { left: 46, right: 12, top: 10, bottom: 14 };
const stretches = [1, 1.5, 2, 3];

/** The live section: sheets with their joints, what is carved and filled, the skin and the ground line, to scale. */
export function SectionStrip() {
  const { sections } = useProject();
  const { sectionOpen, stretch } = useView();
  const section = sections[0];
  return (
    <section aria-label={`Section ${section.name}`} className="flex min-h-0 flex-col border-t border-line bg-sheet">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-1">
        <h2 className="text-base">Section {section.name}</h2>
        <span className="text-xs text-muted">looking away from you, heights ×{stretch}</span>
        <span className="flex items-center gap-1">
          {sectionOpen &&
            stretches.map((factor) => (
              <Button
                key={factor}
                tone="quiet"
                className="!min-h-6 !px-1.5 text-xs"
                aria-pressed={factor === stretch}
                onClick={() => useView.setState({ stretch: factor })}
              >
                <span className={factor === stretch ? 'font-semibold underline' : ''}>×{factor}</span>
              </Button>
            ))}
        </span>
        <span className="flex-1" />
        <Legend />
        <Button
          tone="quiet"
          aria-expanded={sectionOpen}
          onClick={() => useView.setState({ sectionOpen: !sectionOpen })}
        >
          {sectionOpen ? <ChevronDown size={16} aria-hidden /> : <ChevronUp size={16} aria-hidden />}
          {sectionOpen ? 'Hide section' : 'Show section'}
        </Button>
      </div>
      {sectionOpen && <SectionDrawing />}
    </section>
  );
}

function Legend() {
  const entries = [
    ['url(#carve)', 'carve off'],
    ['url(#fill)', 'fill'],
    ['url(#skin)', 'skin'],
    ['var(--foam-b)', 'sheet'],
  ];
  return (
    <ul className="flex flex-wrap gap-3 text-xs text-muted">
      {entries.map(([fill, word]) => (
        <li key={word} className="flex items-center gap-1">
          <svg width="18" height="11" aria-hidden="true">
            <rect x="0.5" y="0.5" width="17" height="10" fill={fill} stroke="var(--line)" />
          </svg>
          {word}
        </li>
      ))}
    </ul>
  );
}

function SectionDrawing() {
  const { base } = useProject();
  const { report, fields } = usePlan();
  const stretch = useView((view) => view.stretch);
  const picked = usePicked((state) => state.layer);
  const [room, width, height] = useSize();
  const [under, setUnder] = useState<SectionSample | null>(null);
  const say = useSay();
  const { from, to } = useSectionLine();
  const layers = useMemo(() => (report ? chosenSchool(report).layers : []), [report]);
  const samples = useMemo(
    () =>
      fields
        ? sectionAlong(fields.ground, fields.target, layers, baseOutline(base), from, to, fields.ground.cellMm / 2)
        : [],
    [fields, layers, base, from, to],
  );
  const length = Math.max(1, Math.hypot(to[0] - from[0], to[1] - from[1]));
  const tallest = Math.max(20, report?.ground.highestMm ?? 0, layers.at(-1)?.topMm ?? 0);
  const boardMm = base.board.thicknessMm;
  const scale = Math.max(
    0.01,
    Math.min(
      (width - PAD.left - PAD.right) / length,
      (height - PAD.top - PAD.bottom) / ((tallest + boardMm) * stretch),
    ),
  );
  const { across, up, paths } = useMemo(() => {
    const toX = (alongMm: number) => PAD.left + alongMm * scale;
    const toY = (heightMm: number) => PAD.top + (tallest - heightMm) * scale * stretch;
    return { across: toX, up: toY, paths: sectionPaths(samples, layers, toX, toY) };
  }, [samples, layers, scale, stretch, tallest]);
  const ticks = heightTicks(
    tallest,
    useView((view) => view.units),
  );
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const along = (event.clientX - event.currentTarget.getBoundingClientRect().left - PAD.left) / scale;
    setUnder(
      along >= 0 && along <= length && samples.length
        ? samples[Math.round((along / length) * (samples.length - 1))]
        : null,
    );
  };
  return (
    <div ref={room} className="relative h-[132px] min-h-0 overflow-hidden">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={sectionWords(samples, say.mm)}
          onPointerMove={point}
          onPointerLeave={() => setUnder(null)}
        >
          {ticks.map(({ mm, text }) => (
            <g key={mm}>
              <line
                x1={PAD.left - 6}
                x2={across(length)}
                y1={up(mm)}
                y2={up(mm)}
                stroke="var(--line)"
                strokeWidth={mm === 0 ? 0 : 0.6}
              />
              <text
                x={PAD.left - 10}
                y={up(mm) + 4}
                textAnchor="end"
                fontSize={11}
                className="figure"
                fill="var(--muted)"
              >
                {text}
              </text>
            </g>
          ))}
          <rect
            x={PAD.left}
            y={up(0)}
            width={length * scale}
            height={Math.max(2, boardMm * scale * stretch)}
            fill="var(--board)"
          />
          {paths.foam.map(({ layer, path }) => (
            <path
              key={layer}
              d={path}
              fill={layer % 2 ? 'var(--foam-a)' : 'var(--foam-b)'}
              stroke={layer === picked ? 'var(--clay)' : 'var(--muted)'}
              strokeWidth={layer === picked ? 2 : 0.6}
              onPointerDown={() => pickLayer(layer === picked ? null : layer)}
            />
          ))}
          <path d={paths.carve} fill="url(#carve)" stroke="var(--clay)" strokeWidth={0.5} />
          <path d={paths.fill} fill="url(#fill)" stroke="var(--ochre-text)" strokeWidth={0.4} />
          <path d={paths.skin} fill="url(#skin)" />
          <path d={paths.ground} fill="none" stroke="var(--graphite)" strokeWidth={2} strokeLinejoin="round" />
          {under && (
            <line
              x1={across(under.alongMm)}
              x2={across(under.alongMm)}
              y1={PAD.top}
              y2={up(0)}
              stroke="var(--clay)"
              strokeDasharray="3 3"
            />
          )}
        </svg>
      )}
      <SectionNotes
        left={across(length) + 24}
        width={width}
        sample={under}
        samples={samples}
        layerCount={layers.length}
      />
    </div>
  );
}

/** Round heights for the scale at the left, in the builder's units. */
function heightTicks(tallestMm: number, units: UnitSystem): { mm: number; text: string }[] {
  const unitMm = units === 'metric' ? 10 : 25.4;
  const step = [1, 2, 4, 8, 16].find((times) => tallestMm / (times * unitMm) <= 6) ?? 32;
  return Array.from({ length: Math.floor(tallestMm / (step * unitMm)) + 1 }, (_, k) => ({
    mm: k * step * unitMm,
    text: `${k * step * (units === 'metric' ? 10 : 1)}${units === 'metric' ? '' : '″'}`,
  }));
}

interface NotesProps {
  left: number;
  width: number;
  sample: SectionSample | null;
  samples: readonly SectionSample[];
  layerCount: number;
}

/** Beside the drawing, where there is room: what lies under the pointer, or what the whole cut shows. */
function SectionNotes({ left, width, sample, samples, layerCount }: NotesProps) {
  const say = useSay();
  if (width - left < 210) return null;
  const rows = sample ? rowsAt(sample, layerCount, say.mm) : rowsAlong(samples, say.mm);
  return (
    <div className="pointer-events-none absolute top-0 w-[230px] text-xs" style={{ left }}>
      <p className="leading-[19px] text-muted">
        {sample ? 'under the pointer' : 'along the cut; point at it to read heights'}
      </p>
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

function sectionWords(samples: readonly SectionSample[], mm: (value: number) => string): string {
  const there = samples.filter((sample) => sample.onBase);
  if (!there.length) return 'Section: the line lies off the base';
  const heights = there.map((sample) => sample.groundMm);
  return `Section along ${mm(there[there.length - 1].alongMm)}: ground from ${mm(Math.min(...heights))} to ${mm(Math.max(...heights))}`;
}
