/** What hollows and laid-in things take of foam, fill and skin, ml: node by node. */
import type { Grid } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import type { AreaMap } from './areas.ts';
import { forEachNode, type Recess, shareWithin } from './rooms.ts';

/** What rooms take up of a built-up ground, ml. */
export interface RoomVolumes {
  /** Of the foam that would stay of each layer, from the board up. */
  leftMl: number[];
  /** Of what would be carved off each layer. */
  carveMl: number[];
  fillMl: number;
  glueMl: number;
  skinMl: number;
  /** All of it: what rooms take of the ground. */
  wholeMl: number;
}

interface Laid {
  bottomMm: number;
  topMm: number;
  outlineAtMm: readonly number[];
}

/** Column by column over the nodes that rooms hold; where rooms overlap they count once. `visit` is told what each takes of fill and skin. */
export function roomVolumes(
  rooms: readonly Recess[],
  ground: Ground,
  target: Grid,
  map: AreaMap,
  layers: readonly Laid[],
  visit: (node: number, fillMl: number, skinMl: number) => void = () => {},
): RoomVolumes {
  const volumes: RoomVolumes = {
    leftMl: layers.map(() => 0),
    carveMl: layers.map(() => 0),
    fillMl: 0,
    glueMl: 0,
    skinMl: 0,
    wholeMl: 0,
  };
  for (const [node, stretches] of columnsOf(rooms, target)) {
    const square = (shareOfNode(ground, node) * target.cellMm ** 2) / 1000;
    if (square === 0) continue;
    const land = ground.grid.values[node];
    const foam = Math.max(0, Math.min(land, target.values[node]));
    const area = map.node ? map.node[node] : 0;
    for (const [floor, roof, share] of merged(stretches)) {
      const within = (low: number, high: number) =>
        square * share * Math.max(0, Math.min(roof, high) - Math.max(floor, low));
      let reached = 0;
      layers.forEach(({ bottomMm, topMm, outlineAtMm }, k) => {
        if (target.values[node] < outlineAtMm[area] - 0.01) return;
        const stays = Math.min(topMm, foam);
        volumes.leftMl[k] += within(bottomMm, stays);
        volumes.carveMl[k] += within(Math.max(bottomMm, stays), topMm);
        volumes.glueMl += within(reached, Math.min(bottomMm, foam));
        reached = topMm;
      });
      const fillMl = within(Math.min(reached, foam), foam);
      const skinMl = within(foam, land);
      volumes.fillMl += fillMl;
      volumes.skinMl += skinMl;
      visit(node, fillMl, skinMl);
      volumes.wholeMl += within(0, land);
    }
  }
  return volumes;
}

/** Floor and roof of a room over a node, and the part of the node's square that it takes. */
type Stretch = [floorMm: number, roofMm: number, share: number];

function columnsOf(rooms: readonly Recess[], target: Grid): Map<number, Stretch[]> {
  const columns = new Map<number, Stretch[]>();
  for (const room of rooms)
    forEachNode(target, room, (w, node) => {
      const share = shareWithin(room.inside[w], target.cellMm);
      if (!share || room.roofMm[w] <= room.floorMm[w]) return;
      const stretch: Stretch = [room.floorMm[w], room.roofMm[w], share];
      const known = columns.get(node);
      if (known) known.push(stretch);
      else columns.set(node, [stretch]);
    });
  return columns;
}

/** Stretches that overlap as one; it has the larger share of the two. */
function merged(stretches: Stretch[]): Stretch[] {
  if (stretches.length === 1) return stretches;
  const sorted = [...stretches].sort((a, b) => a[0] - b[0]);
  const whole: Stretch[] = [];
  for (const [floor, roof, share] of sorted) {
    const last = whole.at(-1);
    if (last && floor <= last[1]) {
      last[1] = Math.max(last[1], roof);
      last[2] = Math.max(last[2], share);
    } else whole.push([floor, roof, share]);
  }
  return whole;
}

/** The part of a node's own square that lies on the base: the mean of the four cells round it. */
function shareOfNode({ grid: { columns, rows }, coverage }: Ground, node: number): number {
  const i = node % columns;
  const j = Math.floor(node / columns);
  let sum = 0;
  for (const v of [j - 1, j])
    for (const u of [i - 1, i])
      if (u >= 0 && v >= 0 && u < columns - 1 && v < rows - 1) sum += coverage ? coverage[v * (columns - 1) + u] : 1;
  return sum / 4;
}
