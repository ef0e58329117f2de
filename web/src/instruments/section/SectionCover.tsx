import { type Cover, covers, type Point, type SectionSample } from '@hosket/core';
import { useMemo } from 'react';
import { useFields, usePlan } from '../../worker/planStore.ts';
import { coverGrain, GRAIN } from '../textures/covers.ts';
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
  const strips = useMemo(() => {
    const map = fields?.zones;
    const last = samples[samples.length - 1];
    if (!map || !zones || !last?.alongMm) return [];
    const coverAt = ({ alongMm, onBase }: SectionSample): Cover | null => {
      if (!onBase) return null;
      const t = alongMm / last.alongMm;
      const at = (a: number, b: number, most: number) =>
        Math.min(most - 1, Math.max(0, Math.floor((a + t * (b - a)) / map.cellMm)));
      const cell = at(from[1], to[1], map.rows) * map.columns + at(from[0], to[0], map.columns);
      return zones[map.zone[cell]]?.cover ?? null;
    };
    const found: { cover: Cover; path: string }[] = [];
    let run: SectionSample[] = [];
    let now: Cover | null = null;
    const close = () => {
      if (now && run.length > 1) {
        const line = run.map(({ alongMm, groundMm }) => [frame.across(alongMm), frame.up(groundMm)]);
        const there = line.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`);
        const back = [...line].reverse().map(([x, y]) => `${x.toFixed(1)} ${(y - TALL).toFixed(1)}`);
        found.push({ cover: now, path: `M${there.join('L')}L${back.join('L')}Z` });
      }
    };
    for (const sample of samples) {
      const cover = coverAt(sample);
      if (cover !== now) {
        close();
        // One strip begins where the one before ends.
        run = now && cover ? run.slice(-1) : [];
        now = cover;
      }
      run.push(sample);
    }
    close();
    return found;
  }, [fields, zones, samples, frame, from, to]);
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
