import { catalogueOf, operationWords, type Point, recipeOf, type SectionSample } from '@hosket/core';
import { useMemo } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useFields, usePlan } from '../../worker/planStore.ts';
import { coatTexture } from '../textures/coatTextures.tsx';
import { runsAlong, stripPath } from './runs.ts';
import type { SectionFrame } from './sectionFrame.ts';

/** Each coat is drawn so thick, px: a coat of paint to scale could not be seen. */
const COAT_PX = 4;
/** Room over the highest ground for a usual recipe's coats, px. */
export const COATS_ROOM_PX = 26;

interface Props {
  frame: SectionFrame;
  from: Point;
  to: Point;
  samples: readonly SectionSample[];
}

/** The coats that the ground wears along a cut, one over the other in the textures of the build-up, each far thicker than it is. */
export function SectionCoats({ frame, from, to, samples }: Props) {
  const project = useProject();
  const fields = useFields();
  const zones = usePlan((state) => state.report?.zones);
  const strips = useMemo(() => {
    if (!fields?.zones || !zones) return [];
    const catalogue = catalogueOf(project.materials);
    return runsAlong(fields.zones, zones, samples, from, to, ({ recipe }) => recipe).flatMap((run) =>
      recipeOf(project, run.zone.recipe).coats.map(({ id, operation, material }, k) => ({
        key: `${id} ${run.samples[0].alongMm}`,
        operation,
        name: `${run.zone.name}: ${operationWords[operation].title.toLowerCase()}, ${catalogue.material(material)?.name ?? material}`,
        path: stripPath(run, frame, k * COAT_PX, (k + 1) * COAT_PX),
      })),
    );
  }, [project, fields, zones, samples, frame, from, to]);
  return (
    <g data-testid="section-coats">
      {strips.map(({ key, operation, name, path }) => (
        <path key={key} d={path} fill={coatTexture(operation)} stroke="var(--line)" strokeWidth={0.4}>
          <title>{name}</title>
        </path>
      ))}
    </g>
  );
}
