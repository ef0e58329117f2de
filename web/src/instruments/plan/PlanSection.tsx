import { changeSection, type Point, type SectionLine } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickSection } from '../../store/viewStore.ts';
import { daylight } from '../../ui/daylight.ts';
import { useFrame } from '../handling/planFrame.ts';
import { dragSection, useSection, useSectionLine } from '../section/sectionLine.ts';
import { Handle } from './Handle.tsx';

type End = 'from' | 'to';

/** The line along which the section below is cut: drag an end to turn it, the square in the middle to move the whole. Others are drawn thin. */
export function PlanSection() {
  const { sections } = useProject();
  const { place, widthMm, depthMm } = useFrame();
  const shown = useSectionLine();
  const section = useSection();
  const inside = ([x, y]: Point): [number, number] => [
    Math.min(widthMm, Math.max(0, x)),
    Math.min(depthMm, Math.max(0, y)),
  ];
  const [x1, y1] = place(shown.from);
  const [x2, y2] = place(shown.to);
  const middle: Point = [(section.from[0] + section.to[0]) / 2, (section.from[1] + section.to[1]) / 2];
  const moved = (to: Point) => ({
    from: inside([section.from[0] + to[0] - middle[0], section.from[1] + to[1] - middle[1]]),
    to: inside([section.to[0] + to[0] - middle[0], section.to[1] + to[1] - middle[1]]),
  });
  const settle = (ends: Partial<Pick<SectionLine, End>>) => {
    dragSection(null);
    edit((project) => changeSection(project, section.id, ends));
  };
  const end = (which: End) => (
    <Handle
      label={`${which === 'from' ? 'Left' : 'Right'} end of section ${section.name}, ${section[which][0]} mm across, ${section[which][1]} mm away`}
      at={section[which]}
      onPreview={(at) => dragSection({ [which]: inside(at) })}
      onCancel={() => dragSection(null)}
      onMove={(at) => settle({ [which]: inside(at) })}
    >
      <circle r={5} fill={daylight.graphite} stroke={daylight.sheet} strokeWidth={1.5} />
    </Handle>
  );
  return (
    <g>
      {sections
        .filter(({ id }) => id !== section.id)
        .map((other) => (
          <OtherSection key={other.id} section={other} />
        ))}
      <g pointerEvents="none">
        <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke={daylight.sheet} strokeWidth={3.5} opacity={0.7} />
        <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke={daylight.graphite} strokeWidth={1.3} strokeDasharray="7 4" />
      </g>
      <Handle
        label={`Whole of section ${section.name}`}
        at={middle}
        onPreview={(at) => dragSection(moved(at))}
        onCancel={() => dragSection(null)}
        onMove={(at) => settle(moved(at))}
      >
        <rect x={-5} y={-5} width={10} height={10} fill={daylight.graphite} stroke={daylight.sheet} strokeWidth={1.5} />
      </Handle>
      {end('from')}
      {end('to')}
    </g>
  );
}

/** A saved section line that is not shown below; a press on its letter shows it. */
function OtherSection({ section }: { section: SectionLine }) {
  const { place } = useFrame();
  const [x1, y1] = place(section.from);
  const [x2, y2] = place(section.to);
  return (
    <g className="cursor-pointer" onPointerDown={() => pickSection(section.id)}>
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke={daylight.graphite} strokeWidth={0.8} strokeDasharray="2 4" />
      <circle cx={x1} cy={y1} r={8} fill={daylight.sheet} stroke={daylight.graphite} strokeWidth={0.8} />
      <text x={x1} y={y1 + 4} textAnchor="middle" fontSize={11} fill={daylight.graphite}>
        {section.name.slice(0, 2)}
      </text>
    </g>
  );
}
