import type { Point } from '@hosket/core';
import { edit, useProject } from '../store/projectStore.ts';
import { useFrame } from './Frame.tsx';
import { Handle } from './Handle.tsx';
import { dragSection, moveSection, useSectionLine } from './sectionLine.ts';

type End = 'from' | 'to';

/** The line along which the section below is cut: drag an end to turn it, the square in the middle to move the whole. */
export function PlanSection() {
  const { sections } = useProject();
  const { place, widthMm, depthMm } = useFrame();
  const shown = useSectionLine();
  const section = sections[0];
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
  const end = (which: End) => (
    <Handle
      label={`${which === 'from' ? 'Left' : 'Right'} end of section ${section.name}, ${section[which][0]} mm across, ${section[which][1]} mm away`}
      at={section[which]}
      onPreview={(at) => dragSection(at && { [which]: inside(at) })}
      onMove={(at) => edit((project) => moveSection(project, section.id, { [which]: inside(at) }))}
    >
      <circle r={5} fill="#22272b" stroke="#fcfbf8" strokeWidth={1.5} />
    </Handle>
  );
  return (
    <g>
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="#fcfbf8" strokeWidth={3.5} opacity={0.7} />
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="#22272b" strokeWidth={1.3} strokeDasharray="7 4" />
      <Handle
        label={`Whole of section ${section.name}`}
        at={middle}
        onPreview={(at) => dragSection(at && moved(at))}
        onMove={(at) => edit((project) => moveSection(project, section.id, moved(at)))}
      >
        <rect x={-5} y={-5} width={10} height={10} fill="#22272b" stroke="#fcfbf8" strokeWidth={1.5} />
      </Handle>
      {end('from')}
      {end('to')}
    </g>
  );
}
