import { baseSize, freeId } from '@hosket/core';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickSection, useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { savePicture } from '../handling/picture.ts';
import { SectionDrawing } from './SectionDrawing.tsx';
import { useSection } from './sectionLine.ts';

const stretches = [1, 1.5, 2, 3];
const MOST_SECTIONS = 40;

/** The live section: sheets with their joints, what is carved and filled, the skin and the ground line, to scale. */
export function SectionStrip() {
  const { sectionOpen, stretch } = useView();
  const [measuring, setMeasuring] = useState(false);
  const section = useSection();
  return (
    <section aria-label={`Section ${section.name}`} className="flex min-h-0 flex-col border-t border-line bg-sheet">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1">
        <h2 className="text-base">Section</h2>
        <SectionChoice />
        <span className="text-xs text-muted">heights ×{stretch}</span>
        {sectionOpen && (
          <>
            <span className="flex items-center gap-1">
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
      {sectionOpen && <SectionDrawing measuring={measuring} />}
    </section>
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

function Legend() {
  const guessed = usePlan((state) => state.report?.ground.guess != null);
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
