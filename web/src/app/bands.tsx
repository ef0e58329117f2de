import {
  baseSize,
  type Finding,
  formatScale,
  hasGround,
  itemsOf,
  type PlanReport,
  type Project,
  sayDay,
} from '@hosket/core';
import type { ReactNode } from 'react';
import type { useSay } from '../ui/Figures.tsx';
import { chosenSchool } from '../worker/planStore.ts';

export type BandId = Finding['band'];

export interface Band {
  id: BandId;
  name: string;
  /** The one figure that matters now. */
  figure: (project: Project, report: PlanReport | null, say: ReturnType<typeof useSay>) => string;
  texture: ReactNode;
}

/** Nothing is to be bought or dry on any day before there is ground. */
const AFTER = 'after the ground';

const W = 34;
const H = 62;

/** The stages of the build in working order, each with the texture of its place in a sample core. */
export const bands: readonly Band[] = [
  {
    id: 'brief',
    name: 'Brief',
    figure: (project, _report, { mm }) => {
      const { widthMm, depthMm } = baseSize(project.base);
      return `${mm(widthMm).replace(/ \w+$/, '')} × ${mm(depthMm)}, ${formatScale(project.scale)}`;
    },
    texture: (
      <g stroke="var(--line)">
        {[10, 20, 30, 40, 50].map((y) => (
          <path key={y} d={`M0 ${y + 3}H${W}`} />
        ))}
        {[11, 23].map((x) => (
          <path key={x} d={`M${x} 0V${H}`} />
        ))}
      </g>
    ),
  },
  {
    id: 'ground',
    name: 'Ground',
    figure: (project, report, { mm }) => {
      const count = itemsOf(project).length;
      if (!count) return 'nothing drawn yet';
      return `${count} drawn${report ? `, to ${mm(report.ground.highestMm)}` : ''}`;
    },
    texture: (
      <g fill="none" stroke="var(--moss)" strokeWidth="1.4">
        <path d="M0 16C8 6 14 26 22 16S30 10 34 14" />
        <path d="M0 34C8 24 14 42 22 32S30 28 34 31" />
        <path d="M0 52C8 42 14 58 22 50S30 46 34 49" />
      </g>
    ),
  },
  {
    id: 'layers',
    name: 'Layers',
    figure: (_project, report) => {
      if (!report) return 'working out';
      const count = chosenSchool(report).layers.length;
      if (!count) return 'none yet';
      return `${count} ${count === 1 ? 'layer' : 'layers'}, ${report.chosen}`;
    },
    texture: (
      <g stroke="var(--muted)" strokeWidth="0.7">
        <rect width={W} height={16} fill="var(--foam-a)" />
        <rect y={16} width={W} height={22} fill="var(--foam-b)" />
        <rect y={38} width={W} height={12} fill="var(--foam-a)" />
        <rect y={50} width={W} height={12} fill="var(--foam-b)" />
      </g>
    ),
  },
  {
    id: 'cutting',
    name: 'Cutting',
    figure: (_project, report) => {
      if (!report) return 'working out';
      const { pieces, beds } = report.cutting;
      if (!pieces.length) return 'nothing to cut';
      const left = pieces.filter(({ state }) => state === 'to cut').length;
      if (left < pieces.length) return left ? `${left} of ${pieces.length} to cut` : 'all cut';
      const sheets = beds.filter(({ kind }) => kind !== 'offcut').length;
      return `${pieces.length} ${pieces.length === 1 ? 'piece' : 'pieces'}, ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`;
    },
    texture: (
      <g fill="var(--foam-a)" stroke="var(--graphite)" strokeWidth="1" strokeDasharray="3 2">
        <path d="M3 4H20L24 18L14 27L3 22Z" />
        <path d="M17 32C27 28 32 36 30 44S18 50 15 44S12 35 17 32Z" />
        <path d="M4 51H20V59H4Z" />
      </g>
    ),
  },
  {
    id: 'surface',
    name: 'Surface',
    figure: (project, report, say) => {
      if (!hasGround(project)) return AFTER;
      if (!report) return 'working out';
      const pastes = report.takeoff.filter(({ stage, drying }) => stage === 'skin' && drying.kind === 'paste');
      if (!pastes.length) return 'no paste';
      return `${say.volume(pastes.reduce((sum, { materials: [{ amount }] }) => sum + amount.likely, 0))} of paste`;
    },
    texture: <rect width={W} height={H} fill="url(#fill)" />,
  },
  {
    id: 'days',
    name: 'Days',
    figure: (project, report) => {
      if (!hasGround(project)) return AFTER;
      if (!report) return 'working out';
      return report.finish ? `dry ${sayDay(report.finish.likely)}` : 'no bench hours';
    },
    texture: (
      <g stroke="var(--ochre)" strokeWidth="2.5">
        <path d="M4 10H30M4 20H18M4 30H24M4 40H12M4 50H28" />
      </g>
    ),
  },
  {
    id: 'stores',
    name: 'Stores',
    figure: (project, report, say) => {
      if (!hasGround(project)) return AFTER;
      const things = report?.shopping.filter(({ short }) => short > 1e-9).length ?? 0;
      return report ? `${things} to buy, ${say.mass(report.mass.totalG.likely)}` : 'working out';
    },
    texture: (
      <g stroke="var(--graphite)" strokeWidth="1.2" fill="none">
        <path d="M0 20.5H34M0 42.5H34" />
        <path d="M5 20V9H12V20M16 20V13H20V20M24 20V6H30V20M5 42V31H10V42M14 42V27H21V42M25 42V34H30V42M6 62V52H14V62M20 62V49H26V62" />
      </g>
    ),
  },
];

export const bandSize = { width: 24, height: 58 };
