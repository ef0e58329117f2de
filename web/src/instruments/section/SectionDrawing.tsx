import {
  baseOutline,
  type PlanReport,
  type Point,
  type SectionLine,
  type SectionSample,
  sectionAlong,
  type UnitSystem,
} from '@hosket/core';
import { type PointerEvent, useMemo, useState } from 'react';
import { useShown } from '../../store/preview.ts';
import { pickLayer, usePicked, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { chosenSchool, useFields, usePlan } from '../../worker/planStore.ts';
import { useSize } from '../handling/useSize.ts';
import { COATS_ROOM_PX, SectionCoats } from './SectionCoats.tsx';
import { SectionCover } from './SectionCover.tsx';
import { SectionHolds } from './SectionHolds.tsx';
import { SectionMeasure } from './SectionMeasure.tsx';
import { SectionNotes, sectionWords } from './SectionNotes.tsx';
import { SectionThings } from './SectionThings.tsx';
import type { SectionFrame } from './sectionFrame.ts';
import { sectionPaths } from './sectionShape.ts';

const PAD = { left: 46, right: 12, top: 10, bottom: 14 };

/** Tops of laid-in things and decks need room too. */
const laidTop = (report: PlanReport | null): number =>
  Math.max(
    0,
    ...(report?.laid ?? []).map(({ topMm }) => topMm),
    ...(report?.fit.things ?? []).map(({ topMm }) => topMm),
    ...(report?.spans ?? []).map(({ fromMm, toMm }) => Math.max(fromMm, toMm)),
  );

/** Whether nothing says how high the ground is at a place of the section. */
function guessedAt(fields: ReturnType<typeof useFields>, from: Point, to: Point): (sample: SectionSample) => boolean {
  const { guessed, ground } = fields ?? {};
  if (!guessed || !ground || guessed.length !== ground.values.length) return () => false;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  return ({ alongMm }) => {
    const share = alongMm / length;
    const i = Math.round((from[0] + share * (to[0] - from[0])) / ground.cellMm);
    const j = Math.round((from[1] + share * (to[1] - from[1])) / ground.cellMm);
    return i >= 0 && j >= 0 && i < ground.columns && j < ground.rows && guessed[j * ground.columns + i] === 1;
  };
}

/** The least that the board is drawn high. */
const LEAST_BOARD_PX = 2;

/** The tallest thing that sections have to show, and the board under it, mm. */
function useTallest(): { tallest: number; boardMm: number } {
  const report = usePlan((state) => state.report);
  const { board } = useShown().base;
  const top = report ? (chosenSchool(report).layers.at(-1)?.topMm ?? 0) : 0;
  return {
    tallest: Math.max(20, report?.ground.highestMm ?? 0, top, laidTop(report)),
    boardMm: board.thicknessMm,
  };
}

/** How wide a section stands, px, when it is drawn so high and its length leaves it that scale. */
export function useSectionWidth(height: number): (line: Pick<SectionLine, 'from' | 'to'>) => number {
  const { tallest, boardMm } = useTallest();
  const stretch = useView((view) => view.stretch);
  const scale = (height - PAD.top - PAD.bottom) / ((tallest + boardMm) * stretch);
  return ({ from, to }) => PAD.left + PAD.right + Math.hypot(to[0] - from[0], to[1] - from[1]) * scale;
}

interface Props {
  line: Pick<SectionLine, 'from' | 'to'>;
  measuring: boolean;
  /** Readings stand beside it where there is room. */
  notes: boolean;
  /** The coats one by one over the ground line, rather than the cover to its height. */
  coats: boolean;
  /** It stands beside the one that is shown, by this name, and is looked at only. */
  beside?: string;
}

export function SectionDrawing({ line: { from, to }, measuring, notes, coats, beside }: Props) {
  const { base } = useShown();
  const report = usePlan((state) => state.report);
  const fields = useFields();
  const stretch = useView((view) => view.stretch);
  const picked = usePicked((state) => state.layer);
  const [room, width, height] = useSize();
  const [under, setUnder] = useState<SectionSample | null>(null);
  const say = useSay();
  const layers = useMemo(() => (report ? chosenSchool(report).layers : []), [report]);
  const samples = useMemo(
    () =>
      // Without layers yet it would be drawn as all fill.
      fields && report
        ? sectionAlong(
            fields.ground,
            fields.target,
            layers,
            fields.areas,
            baseOutline(base),
            from,
            to,
            fields.ground.cellMm / 2,
          )
        : [],
    [fields, report, layers, base, from, to],
  );
  const length = Math.max(1, Math.hypot(to[0] - from[0], to[1] - from[1]));
  const { tallest, boardMm } = useTallest();
  const top = coats ? PAD.top + COATS_ROOM_PX : PAD.top;
  const scale = Math.max(
    0.01,
    Math.min((width - PAD.left - PAD.right) / length, (height - top - PAD.bottom) / ((tallest + boardMm) * stretch)),
  );
  const { frame, across, up, paths } = useMemo(() => {
    const toX = (alongMm: number) => PAD.left + alongMm * scale;
    const toY = (heightMm: number) => top + (tallest - heightMm) * scale * stretch;
    const drawn: SectionFrame = { across: toX, up: toY, pxPerMm: scale, pxPerMmUp: scale * stretch };
    return {
      frame: drawn,
      across: toX,
      up: toY,
      // A thin board is drawn thick enough to be seen.
      paths: sectionPaths(
        samples,
        layers,
        toX,
        toY,
        guessedAt(fields, from, to),
        Math.max(boardMm, LEAST_BOARD_PX / (scale * stretch)),
      ),
    };
  }, [samples, layers, scale, stretch, top, tallest, boardMm, fields, from, to]);
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
    <div ref={room} data-picture={beside ? undefined : 'section'} className="relative h-full min-h-0 overflow-hidden">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={sectionWords(samples, say.mm, beside)}
          className="touch-manipulation select-none"
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
          {boardMm > 0 && <path d={paths.board} fill="var(--board)" data-testid={beside ? undefined : 'board-cut'} />}
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
          <path d={paths.cutOut} fill="var(--sheet)" stroke="var(--muted)" strokeWidth={0.8} strokeDasharray="4 3" />
          <path d={paths.carve} fill="url(#carve)" stroke="var(--clay)" strokeWidth={0.5} />
          <path d={paths.fill} fill="url(#fill)" stroke="var(--ochre-text)" strokeWidth={0.4} />
          <path d={paths.skin} fill="url(#skin)" />
          {coats ? (
            <SectionCoats frame={frame} from={from} to={to} samples={samples} />
          ) : (
            <SectionCover frame={frame} from={from} to={to} samples={samples} />
          )}
          <SectionThings frame={frame} from={from} to={to} samples={samples} />
          <path d={paths.ground} fill="none" stroke="var(--graphite)" strokeWidth={2} strokeLinejoin="round" />
          <path
            d={paths.guess}
            fill="none"
            stroke="var(--graphite)"
            strokeWidth={2}
            strokeDasharray="2 5"
            data-testid={beside ? undefined : 'guessed-line'}
          />
          {!beside && <SectionHolds frame={frame} from={from} to={to} samples={samples} />}
          {measuring && <SectionMeasure frame={frame} samples={samples} lengthMm={length} />}
          {under && (
            <line
              x1={across(under.alongMm)}
              x2={across(under.alongMm)}
              y1={top}
              y2={up(0)}
              stroke="var(--clay)"
              strokeDasharray="3 3"
              // It follows the pointer and must not come between it and a grip.
              pointerEvents="none"
            />
          )}
        </svg>
      )}
      {notes && (
        <SectionNotes
          left={across(length) + 24}
          width={width}
          sample={under}
          samples={samples}
          layerCount={layers.length}
        />
      )}
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
