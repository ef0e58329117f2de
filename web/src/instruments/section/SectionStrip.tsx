import { baseSize, freeId } from '@hosket/core';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { edit, useProject } from '../../store/projectStore.ts';
import {
  LEAST_SECTION_PX,
  pickSection,
  sectionPxOf,
  setSectionPx,
  toggleSection,
  useView,
} from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { savePicture } from '../handling/picture.ts';
import { useSize } from '../handling/useSize.ts';
import { coatTexture } from '../textures/coatTextures.tsx';
import { SectionDrawing, useSectionWidth } from './SectionDrawing.tsx';
import { useSection, useSectionLine } from './sectionLine.ts';

const stretches = [1, 1.5, 2, 3];
const MOST_SECTIONS = 40;

/**
 * The live section: sheets with their joints, what is carved and filled, the skin and the ground line, to scale. As high as it is dragged, in each view of
 * its own; where the true scale leaves room, the next section line stands beside it.
 */
export function SectionStrip() {
  const { pathname } = useLocation();
  const band = pathname.split('/')[3] ?? 'ground';
  const { stretch } = useView();
  const height = useView((view) => sectionPxOf(view, band));
  const [measuring, setMeasuring] = useState(false);
  const section = useSection();
  const open = height > 0;
  return (
    <section
      data-testid="section-strip"
      aria-label={`Section ${section.name}`}
      className="flex min-h-0 flex-col border-t border-line bg-sheet"
    >
      {open && <Grip band={band} height={height} />}
      <div className="flex min-h-7 flex-wrap items-center gap-x-3 px-4 min-[1100px]:flex-nowrap min-[1100px]:whitespace-nowrap">
        <h2 className="text-base">
          <Word>Section</Word>
        </h2>
        <SectionChoice />
        {open && (
          <>
            <span className="flex items-center gap-1 text-xs">
              <span className="text-muted">heights</span>
              {stretches.map((factor) => (
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
            <Button
              tone="quiet"
              className="!min-h-6 text-xs"
              aria-pressed={measuring}
              onClick={() => setMeasuring(!measuring)}
            >
              <span className={measuring ? 'font-semibold underline' : ''}>Measure</span>
            </Button>
            <Button
              tone="quiet"
              className="!min-h-6 text-xs"
              aria-label="Save a picture of the section"
              onClick={() => savePicture('section')}
            >
              Save a picture
            </Button>
          </>
        )}
        <span className="flex-1" />
        {open && <Legend coats={band === 'surface'} />}
        <Button
          tone="quiet"
          className="!min-h-6 text-xs"
          aria-expanded={open}
          onClick={() => toggleSection(band)}
          title="Alt+X"
        >
          {open ? <ChevronDown size={16} aria-hidden /> : <ChevronUp size={16} aria-hidden />}
          {open ? 'Hide section' : 'Show section'}
        </Button>
      </div>
      {open && <Drawings height={height} measuring={measuring} coats={band === 'surface'} />}
    </section>
  );
}

/** The section that is shown, and the next beside it where there is room for it at the same height. */
function Drawings({ height, measuring, coats }: { height: number; measuring: boolean; coats: boolean }) {
  const [room, width] = useSize();
  const { sections } = useProject();
  const shown = useSectionLine();
  const next = sections[(sections.findIndex(({ id }) => id === shown.id) + 1) % sections.length];
  const needs = useSectionWidth(height);
  const first = needs(shown);
  const second = next.id === shown.id ? Number.POSITIVE_INFINITY : needs(next);
  const both = width > 0 && first + second <= width;
  return (
    <div ref={room} className="flex" style={{ height }}>
      <div className="min-w-0" style={both ? { width: first } : { flex: 1 }}>
        <SectionDrawing line={shown} measuring={measuring} notes={!both} coats={coats} />
      </div>
      {both && (
        <div className="flex min-w-0 flex-1">
          <h3 className="shrink-0 pt-1 text-base">{next.name}</h3>
          <div className="min-w-0 flex-1">
            <SectionDrawing line={next} measuring={false} notes coats={coats} beside={next.name} />
          </div>
        </div>
      )}
    </div>
  );
}

/** Dragged (or moved by arrow keys) for a higher or lower section. */
function Grip({ band, height }: { band: string; height: number }) {
  const start = useRef<{ y: number; height: number } | null>(null);
  const most = () => Math.round(window.innerHeight * 0.6);
  const to = (px: number) => setSectionPx(band, Math.max(LEAST_SECTION_PX, Math.min(most(), Math.round(px))));
  return (
    <div
      role="separator"
      aria-orientation="horizontal"
      aria-label="Height of the section"
      aria-valuenow={height}
      aria-valuemin={LEAST_SECTION_PX}
      aria-valuemax={most()}
      tabIndex={0}
      title="Drag for a higher or lower section"
      className="group/grip -mt-1 flex h-2 cursor-row-resize touch-none justify-center max-[999px]:hidden"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        start.current = { y: event.clientY, height };
      }}
      onPointerMove={({ clientY }) => start.current && to(start.current.height + start.current.y - clientY)}
      onPointerUp={() => {
        start.current = null;
      }}
      onKeyDown={(event) => {
        const by = { ArrowUp: 8, ArrowDown: -8 }[event.key];
        if (!by) return;
        event.preventDefault();
        to(height + by);
      }}
    >
      <span className="mt-1 h-[3px] w-10 rounded bg-line group-hover/grip:bg-clay" />
    </div>
  );
}

/** The saved section lines: which one is shown, one more, one less. */
function SectionChoice() {
  const { sections, base } = useProject();
  const shown = useSection();
  const add = () => {
    const letter = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'.split('').find((name) => sections.every((line) => line.name !== name));
    const id = freeId('section', sections);
    const { widthMm, depthMm } = baseSize(base);
    edit((p) => ({
      ...p,
      sections: [
        ...p.sections,
        { id, name: letter ?? `${sections.length + 1}`, from: [widthMm / 2, 0], to: [widthMm / 2, depthMm] },
      ],
    }));
    pickSection(id);
  };
  return (
    <span className="flex items-center gap-1" role="group" aria-label="Section lines">
      {sections.map((line) => (
        <Button
          key={line.id}
          tone="quiet"
          className="!min-h-6 !px-1.5"
          aria-label={`Show section ${line.name}`}
          aria-pressed={line.id === shown.id}
          onClick={() => pickSection(line.id)}
        >
          <span className={line.id === shown.id ? 'font-semibold underline' : 'text-muted'}>{line.name}</span>
        </Button>
      ))}
      <Button tone="quiet" className="!min-h-6 text-xs" disabled={sections.length >= MOST_SECTIONS} onClick={add}>
        One more
      </Button>
      {sections.length > 1 && (
        <Button
          tone="quiet"
          className="!min-h-6 text-xs"
          aria-label={`Delete section ${shown.name}`}
          onClick={() => edit((p) => ({ ...p, sections: p.sections.filter(({ id }) => id !== shown.id) }))}
        >
          Delete
        </Button>
      )}
    </span>
  );
}

function Legend({ coats }: { coats: boolean }) {
  const guessed = usePlan((state) => state.report?.ground.guess != null);
  const entries = [
    ['url(#carve)', 'carve off'],
    ['url(#fill)', 'fill'],
    ['url(#skin)', 'skin'],
    ['var(--foam-b)', 'sheet'],
    ...(coats ? [[coatTexture('grass'), 'coats']] : []),
  ];
  return (
    <ul className="flex min-w-0 gap-3 overflow-hidden text-xs text-muted max-[1099px]:hidden">
      {entries.map(([fill, word]) => (
        <li key={word} className="flex items-center gap-1">
          <svg width="18" height="11" aria-hidden="true">
            <rect x="0.5" y="0.5" width="17" height="10" fill={fill} stroke="var(--line)" />
          </svg>
          {word}
        </li>
      ))}
      {guessed && (
        <li className="flex items-center gap-1" title="Nothing says how high the ground is there">
          <svg width="18" height="11" aria-hidden="true">
            <path d="M1 5.5H17" stroke="var(--graphite)" strokeWidth="2" strokeDasharray="2 5" />
          </svg>
          guessed
        </li>
      )}
    </ul>
  );
}
