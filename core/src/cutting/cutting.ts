/** Everything about cutting a stack: pieces, layout, what is left, minutes by tool. */
import { type Polygon, type Ring, ringSize } from '../geometry/index.ts';
import type { Layer, SheetsUsed } from '../layers/index.ts';
import { createSearch, grown, laidOut, type NestProblem, type Placed, turnsOf } from '../nest/index.ts';
import { type Project, sheetsCutUp } from '../project/index.ts';
import { bedsFor, type Job, roomsFor, type StockBed } from './beds.ts';
import { type Clash, clashesOn, laidArea } from './judge.ts';
import { layoutKey } from './key.ts';
import { type Nowhere, nowhereOf } from './nowhere.ts';
import { panelPieces } from './panels.ts';
import type { CutPiece, Dropped, Seam } from './piece.ts';
import { piecesOf } from './pieces.ts';
import { remainderOf } from './remainder.ts';
import { kerfMmOf, minutesByTool, type ToolMinutes } from './tools.ts';

/** A piece on its bed. */
export interface LaidPiece {
  piece: string;
  turnDegrees: number;
  xMm: number;
  yMm: number;
  pinned: boolean;
  lies: Polygon;
}

/** A sheet or offcut with the pieces on it, and what is left of it. */
export interface LaidBed {
  id: string;
  job: string;
  kind: StockBed['kind'];
  sheetId: string;
  /** Which sheet of its kind, from 1; 0 for an offcut. */
  copy: number;
  /** A slice of a sheet: what is left of it goes back to no shed. */
  sliced: boolean;
  offcutId: string | null;
  outline: Ring;
  areaMm2: number;
  pieces: LaidPiece[];
  usedMm2: number;
  /** Offcuts worth keeping. */
  left: Ring[];
}

/** A problem for the search, as a worker takes it. */
export interface NestJob {
  id: string;
  problem: NestProblem;
  pieceIds: string[];
  bedIds: string[];
}

export interface Cutting {
  pieces: CutPiece[];
  seams: Seam[];
  dropped: Dropped[];
  beds: LaidBed[];
  nowhere: Nowhere[];
  clashes: Clash[];
  sheetsUsed: SheetsUsed[];
  tools: ToolMinutes[];
  /** Of which pieces, stock and settings the layout is. */
  key: string;
  /** The layout that was found or made before still holds; else it is a first one, laid quickly. */
  kept: boolean;
  jobs: NestJob[];
}

type Shed = Pick<Project, 'panels' | 'sheets' | 'offcuts' | 'stacking' | 'cutting' | 'nest'>;

/** A turn is chosen from at most so many where pieces turn freely. */
const FREE_TURNS = 12;

/** Packings that a first layout is the best of, and turns tried of each piece: fewer where pieces are many, since maps of every two of them take long; the search proper goes on from there. */
const quickly = (pieces: number): { tries: number; turns: number } => ({
  tries: Math.max(2, Math.min(10, Math.floor(200 / Math.max(1, pieces)))),
  turns: Math.max(1, Math.min(FREE_TURNS, Math.floor(120 / Math.max(1, pieces)))),
});

/**
 * Everything about cutting a stack: pieces, seams, the layout on sheets and offcuts, what is left, and how long each tool takes. Yields
 * between pieces, tries and beds.
 */
export function* cuttingOf(project: Shed, layers: readonly Layer[]): Generator<undefined, Cutting> {
  const { cutting, nest } = project;
  const stacked = yield* piecesOf(project, layers, (ids) => roomsFor(project, ids));
  const upright = yield* panelPieces(project, (ids) => roomsFor(project, ids));
  const pieces = [...stacked.pieces, ...upright.pieces];
  const seams = [...stacked.seams, ...upright.seams];
  const { dropped } = stacked;
  const isCut = new Set(nest.done.flatMap((bed) => bed.pieces.map(({ piece }) => piece)));
  const waiting = pieces.filter(({ id }) => !isCut.has(id));
  const key = layoutKey(project, pieces);
  const kept = nest.key === key && nest.places.length > 0;
  const opened = new Map<string, number>();
  const beds: LaidBed[] = [];
  const nowhere: Nowhere[] = [];
  const jobs: NestJob[] = [];
  for (const job of jobsOf(waiting)) {
    const laid = yield* layJob(
      project,
      { ...job, beds: bedsFor(project, job.sheetIds, job.sliceMm, job.pieces.length, opened) },
      kept,
    );
    beds.push(...laid.beds);
    nowhere.push(...laid.nowhere);
    jobs.push(laid.job);
    for (const { sheetId, copy } of laid.used) opened.set(sheetId, Math.max(opened.get(sheetId) ?? 0, copy));
  }
  const clashes: Clash[] = [];
  for (const { outline, pieces: lying } of beds) {
    yield;
    const here = lying.map(({ piece, lies }) => ({ id: piece, lies }));
    clashes.push(...clashesOn(outline, here, cutting.gapMm, cutting.marginMm));
  }
  return {
    pieces,
    seams,
    dropped,
    beds,
    nowhere,
    clashes,
    sheetsUsed: usedOf(project, beds),
    tools: minutesByTool(pieces),
    key,
    kept,
    jobs,
  };
}

/** Pieces by what they are cut from; whole sheets before slices, which come from the sheets that are left. */
function jobsOf(pieces: readonly CutPiece[]): Omit<Job, 'beds'>[] {
  const jobs = new Map<string, Omit<Job, 'beds'>>();
  for (const piece of pieces) {
    const id = `${piece.sheetIds.join('+')}${piece.sliceMm === null ? '' : ` at ${piece.sliceMm}`}`;
    const job = jobs.get(id) ?? { id, sheetIds: piece.sheetIds, sliceMm: piece.sliceMm, pieces: [] };
    job.pieces.push(piece);
    jobs.set(id, job);
  }
  return [...jobs.values()].sort((a, b) => Number(a.sliceMm !== null) - Number(b.sliceMm !== null));
}

/** The outline that is cut: the piece's own, or half a kerf outside it. */
export const cutLineOf = ({ cutting }: Pick<Project, 'cutting'>, outline: Polygon): Polygon => {
  const by = cutting.offsetKerf ? kerfMmOf(cutting) / 2 : 0;
  return by > 0 ? grown(outline, by) : outline;
};

function* layJob(
  project: Shed,
  { id, sliceMm, pieces, beds }: Job,
  kept: boolean,
): Generator<undefined, { beds: LaidBed[]; nowhere: Nowhere[]; job: NestJob; used: StockBed[] }> {
  const { cutting, nest } = project;
  const grain = beds.some((bed) => bed.grain);
  const turning = grain ? ({ kind: 'half' } as const) : cutting.turning;
  const pieceIndex = new Map(pieces.map((piece, k) => [piece.id, k]));
  const bedIndex = new Map(beds.map((bed, k) => [bed.id, k]));
  const known = nest.places.flatMap(({ piece, bed, turnDegrees, xMm, yMm, pinned }) => {
    const p = pieceIndex.get(piece);
    const b = bedIndex.get(bed);
    return p === undefined || b === undefined ? [] : [{ piece: p, bed: b, turn: turnDegrees, xMm, yMm, pinned }];
  });
  const bare = ({ pinned: _, ...place }: (typeof known)[number]): Placed => place;
  const pinned = known.filter((place) => place.pinned).map(bare);
  const less = 2 * cutting.marginMm;
  const rooms = beds.map((bed) => {
    const { widthMm, depthMm } = ringSize(bed.outline);
    return { widthMm: widthMm - less, depthMm: depthMm - less };
  });
  const problem: NestProblem = {
    pieces: pieces.map((piece) => {
      const outline = cutLineOf(project, piece.outline);
      const turns = turnsOf(outline.outer, turning, FREE_TURNS, rooms);
      return { id: piece.id, outline, turns, anyTurn: turning.kind === 'free' };
    }),
    beds: beds.map(({ id: bed, outline, kind }) => ({ id: bed, outline, kind })),
    gapMm: cutting.gapMm,
    marginMm: cutting.marginMm,
    pinned,
  };
  // What is kept stays where it is; what has no place, or has lost it, is laid quickly round it.
  let placed = (kept ? known : []).map(bare);
  let leftOver: number[] = [];
  if (placed.length < pieces.length) {
    yield;
    const { tries, turns } = quickly(pieces.length);
    const search = createSearch(kept ? { ...problem, pinned: placed } : problem, cutting.search.seed, turns);
    while (search.tries() < tries) {
      yield;
      search.step();
    }
    yield;
    ({ placed, leftOver } = yield* search.best());
  }
  const isPinned = new Set(pinned.map(({ piece }) => piece));
  const laid: LaidBed[] = [];
  for (const [k, bed] of beds.entries()) {
    yield;
    const here = placed
      .filter((place) => place.bed === k)
      .map(
        ({ piece, turn, xMm, yMm }): LaidPiece => ({
          piece: pieces[piece].id,
          turnDegrees: turn,
          xMm,
          yMm,
          pinned: isPinned.has(piece),
          lies: laidOut(problem.pieces[piece], { turn, xMm, yMm }),
        }),
      );
    const areaMm2 = laidArea([{ id: bed.id, lies: { outer: bed.outline, holes: [] } }]);
    laid.push({
      id: bed.id,
      job: id,
      kind: bed.kind,
      sheetId: bed.sheetId,
      copy: bed.copy,
      sliced: sliceMm !== null,
      offcutId: bed.offcutId,
      outline: bed.outline,
      areaMm2,
      pieces: here,
      usedMm2: laidArea(here.map(({ piece, lies }) => ({ id: piece, lies }))),
      left:
        here.length && sliceMm === null
          ? remainderOf(
              bed.outline,
              here.map(({ lies }) => lies),
              kerfMmOf(cutting),
            )
          : [],
    });
  }
  const filled = laid.filter((bed) => bed.pieces.length);
  return {
    beds: filled,
    nowhere: leftOver.map((k) => nowhereOf(pieces[k].id, problem.pieces[k].outline.outer, beds, cutting.marginMm)),
    job: {
      id,
      problem,
      pieceIds: pieces.map((piece) => piece.id),
      bedIds: beds.map((bed) => bed.id),
    },
    used: beds.filter((bed) => bed.copy > 0 && filled.some((each) => each.id === bed.id)),
  };
}

/** What the layout takes of each kind of sheet, with what is cut up already. */
function usedOf({ sheets, nest }: Shed, beds: readonly LaidBed[]): SheetsUsed[] {
  return sheets.flatMap(({ id, count }): SheetsUsed[] => {
    const mine = beds.filter(({ sheetId }) => sheetId === id);
    const done = nest.done.filter(({ sheetId }) => sheetId === id);
    const copies = new Set(mine.filter(({ copy }) => copy > 0).map(({ copy }) => copy));
    const areaMm2 =
      mine.reduce((sum, bed) => sum + bed.usedMm2, 0) +
      done.reduce((sum, bed) => sum + bed.pieces.reduce((all, piece) => all + piece.areaMm2, 0), 0);
    if (!areaMm2) return [];
    const toBuy = [...copies].filter((copy) => copy > count).length;
    return [{ sheetId: id, areaMm2, sheets: copies.size + sheetsCutUp(nest, id), toBuy }];
  });
}
