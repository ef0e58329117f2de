import { type Cover, covers, type Point, type SectionSample } from '@hosket/core';
import { useMemo } from 'react';
import { useFields, usePlan } from '../../worker/planStore.ts';
import { coverGrain, GRAIN } from '../textures/covers.ts';
import { runsAlong, stripPath } from './runs.ts';
import type { SectionFrame } from './sectionFrame.ts';

/** How tall the cover is drawn over the ground line, px. */
const TALL = 6;

interface Props {
  frame: SectionFrame;
  from: Point;
  to: Point;
  samples: readonly SectionSample[];
}

/** What covers the ground along a cut, as a strip of its texture on the ground line. */
export function SectionCover({ frame, from, to, samples }: Props) {
  const fields = useFields();
  const zones = usePlan((state) => state.report?.zones);
  const strips = useMemo(
    () =>
      fields?.zones && zones
        ? runsAlong(fields.zones, zones, samples, from, to, ({ cover }) => cover).map((run) => ({
            cover: run.zone.cover,
            path: stripPath(run, frame, 0, TALL),
          }))
        : [],
    [fields, zones, samples, frame, from, to],
  );
  const there = covers.filter((cover) => strips.some((strip) => strip.cover === cover));
  return (
    <g data-testid="section-cover">
      <defs>
        {there.map((cover) => {
          const { tint, dark } = coverGrain(cover);
          return (
            <pattern key={cover} id={idOf(cover)} width={GRAIN} height={GRAIN} patternUnits="userSpaceOnUse">
              <rect width={GRAIN} height={GRAIN} fill={tint} />
              {dark.map(([x, y, share]) => (
                <rect key={`${x} ${y}`} x={x} y={y} width={1} height={1} fill="#000" fillOpacity={1.6 * share} />
              ))}
            </pattern>
          );
        })}
      </defs>
      {strips.map(({ cover, path }) => (
        <path key={path} d={path} fill={`url(#${idOf(cover)})`}>
          <title>{cover}</title>
        </path>
      ))}
    </g>
  );
}

const idOf = (cover: Cover) => `cover-${cover.replaceAll(' ', '-')}`;
