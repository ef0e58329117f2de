import { baseSize, boundsOf, footprintOf, footRing, type PlanReport, type Project, runOf, underMm } from '@hosket/core';
import { useMemo } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import type { Fields } from '../../worker/messages.ts';
import { usePlan } from '../../worker/planStore.ts';
import { silhouette } from './silhouette.ts';

const WIDTH = 420;
const HEIGHT = 170;
const PAD = 16;

type Side = 'front' | 'side';

/** A box in a view: where it begins and ends across, and from which height to which. */
interface Block {
  id: string;
  name: string;
  from: number;
  to: number;
  bottomMm: number;
  topMm: number;
}

/** The piece in its box, seen from the front and from the right: what sticks out is hatched and named. */
export function EnvelopeDrawing() {
  const project = useProject();
  const report = usePlan((state) => state.report);
  const fields = usePlan((state) => state.fields);
  if (!report || !fields || (!project.envelope.box && !project.things.length && report.set.tiles.length < 2))
    return <div />;
  return (
    <div className="grid content-start gap-1">
      <View side="front" project={project} report={report} fields={fields} />
      <View side="side" project={project} report={report} fields={fields} />
    </div>
  );
}

interface ViewProps {
  side: Side;
  project: Project;
  report: PlanReport;
  fields: Fields;
}

function View({ side, project, report, fields }: ViewProps) {
  const say = useSay();
  const profile = useMemo(() => silhouette(fields.ground, side), [fields.ground, side]);
  const { room } = report.fit;
  const { widthMm, depthMm } = baseSize(project.base);
  const length = side === 'front' ? widthMm : depthMm;
  const blocks = [...otherTiles(project, report, side), ...blocksOf(project, report, side)];
  const under = underMm(project.base);
  const covers = boundsOf(footprintOf(project.base));
  const [boardFrom, boardTo] = side === 'front' ? [covers[0], covers[2]] : [covers[1], covers[3]];
  const walls = room && (side === 'front' ? [room.x0, room.x1] : [room.y0, room.y1]);
  const left = Math.min(0, boardFrom, walls?.[0] ?? 0, ...blocks.map(({ from }) => from));
  const right = Math.max(length, boardTo, walls?.[1] ?? 0, ...blocks.map(({ to }) => to));
  const top = Math.max(20, report.ground.highestMm, room?.topMm ?? 0, ...blocks.map(({ topMm }) => topMm));
  const floor = Math.min(-under, room?.floorMm ?? 0, ...blocks.map(({ bottomMm }) => bottomMm));
  const scale = Math.min((WIDTH - 2 * PAD) / (right - left), (HEIGHT - 2 * PAD) / (top - floor));
  const x = (mm: number) => PAD + (mm - left) * scale;
  const y = (mm: number) => PAD + (top - mm) * scale;
  const sides = side === 'front' ? ['top', 'left', 'right'] : ['top', 'front', 'back'];
  const blamed = report.fit.breaches.filter((breach) => sides.includes(breach.side));
  const isBlamed = (id: string) => blamed.some((breach) => breach.id === id);
  const title = side === 'front' ? 'From the front' : 'From the left, front at the left';
  const words = blamed.map(({ name, byMm, side: where }) => `${name} ${say.mm(byMm)} out at the ${where}`).join('; ');
  const ground = `M${x(0)} ${y(0)}${profile.map(([at, height]) => `L${x(Math.min(length, at)).toFixed(1)} ${y(height).toFixed(1)}`).join('')}L${x(length)} ${y(0)}Z`;
  return (
    <figure>
      <figcaption className="text-xs text-muted">
        {title}
        {room && `; the box ${say.mm(room.topMm - room.floorMm)} high inside`}
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full rounded-md border border-line bg-sheet"
        role="img"
        aria-label={`${title}. ${words || 'Everything keeps inside.'}`}
      >
        <defs>
          <pattern id={`out-${side}`} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V5" stroke="var(--plum)" strokeWidth="2" />
          </pattern>
        </defs>
        <rect
          x={x(boardFrom)}
          y={y(0)}
          width={(boardTo - boardFrom) * scale}
          height={Math.max(1.5, under * scale)}
          fill="var(--board)"
        />
        <Blocks
          blocks={blocks.filter(({ id }) => !isBlamed(id))}
          x={x}
          y={y}
          scale={scale}
          fill="var(--plaster)"
          ink="var(--muted)"
        />
        <path d={ground} fill="var(--foam-a)" fillOpacity={0.8} stroke="var(--graphite)" />
        <Blocks
          blocks={blocks.filter(({ id }) => isBlamed(id))}
          x={x}
          y={y}
          scale={scale}
          fill={`url(#out-${side})`}
          ink="var(--plum)"
        />
        {room && walls && (
          <rect
            x={x(walls[0])}
            y={y(room.topMm)}
            width={(walls[1] - walls[0]) * scale}
            height={(room.topMm - room.floorMm) * scale}
            fill="none"
            stroke="var(--clay)"
            strokeWidth={1.6}
            strokeDasharray="7 4"
          />
        )}
      </svg>
    </figure>
  );
}

interface BlocksProps {
  blocks: readonly Block[];
  x: (mm: number) => number;
  y: (mm: number) => number;
  scale: number;
  fill: string;
  ink: string;
}

function Blocks({ blocks, x, y, scale, fill, ink }: BlocksProps) {
  return blocks.map((block) => (
    <rect
      key={`${block.id} ${block.bottomMm}`}
      x={x(block.from)}
      y={y(block.topMm)}
      width={Math.max(1, (block.to - block.from) * scale)}
      height={Math.max(1, (block.topMm - block.bottomMm) * scale)}
      fill={fill}
      stroke={ink}
    />
  ));
}

/** The other tiles of the set as they stand beside and above the open one, from under their boards to their highest places. */
function otherTiles(project: Project, { set }: PlanReport, side: Side): Block[] {
  const own = set.tiles.find(({ id }) => id === project.tile.id);
  if (own?.turn !== 0) return [];
  return set.tiles
    .filter(({ id }) => id !== own.id)
    .map((tile) => {
      const from = side === 'front' ? tile.xMm - own.xMm : tile.yMm - own.yMm;
      const rise = tile.riseMm - own.riseMm;
      const base = project.tiles.find(({ id }) => id === tile.id)?.base;
      return {
        id: tile.id,
        name: tile.name,
        from,
        to: from + (side === 'front' ? tile.widthMm : tile.depthMm),
        bottomMm: rise - (base ? underMm(base) : 0),
        topMm: rise + tile.tallestMm,
      };
    });
}

function blocksOf(project: Project, report: PlanReport, side: Side): Block[] {
  const axis = side === 'front' ? 0 : 1;
  const things = project.things.flatMap((thing): Block[] => {
    const read = report.fit.things.find(({ id }) => id === thing.id);
    if (!read) return [];
    const at = read.at[axis];
    const block = (from: number, to: number, bottomMm: number, topMm: number): Block => ({
      id: thing.id,
      name: read.name,
      from,
      to,
      bottomMm,
      topMm,
    });
    const ring = footRing(thing);
    const box = ring && boundsOf(ring);
    const [from, to] = box ? [box[axis], box[axis + 2]] : [at - thing.footMm / 2, at + thing.footMm / 2];
    if (read.branchesMm === read.bottomMm) return [block(from, to, read.bottomMm, read.topMm)];
    const { reachMm } = read;
    return [
      block(from, to, read.bottomMm, read.branchesMm),
      block(at - reachMm, at + reachMm, read.branchesMm, read.topMm),
    ];
  });
  const laid = project.laid.flatMap((thing): Block[] => {
    const read = report.laid.find(({ id }) => id === thing.id);
    if (!read) return [];
    const box = boundsOf(runOf(thing));
    return [
      {
        id: thing.id,
        name: read.name,
        from: box[axis],
        to: box[axis + 2],
        bottomMm: read.undersideMm,
        topMm: read.topMm,
      },
    ];
  });
  return [...laid, ...things];
}
