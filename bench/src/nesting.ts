import { fork } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import {
  type NestProblem,
  type Placed,
  type Polygon,
  type Project,
  plan,
  polygonArea,
  type Ring,
  readProject,
  ringSize,
} from '@hosket/core';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { turnsOf } from '../../core/src/nest/index.ts';
import { cutUp } from '../../core/src/testing/cutUp.ts';
import { faultsOf } from '../../core/src/testing/judge.ts';
import { ratio, whole } from './timed.ts';

/** Two workers on a strip as wide as a usual board; the shorter the strip, the denser. Then on the sheets that the samples have. Read the ratios, the seconds are this machine's. */
const STRIP_MM = 600;
const SHEET = { widthMm: 600, depthMm: 300 };
const WORKERS = 2;
const SAMPLE_SECONDS = 10;
const SHEET_SECONDS = 5;
const CUT_SECONDS = 60;

interface Told {
  seconds: number;
  reachMm: number;
  sheets: number;
  tries: number;
  placed: Placed[];
  leftOver: number[];
}

const bed = (widthMm: number, depthMm: number): Ring => [
  [0, 0],
  [widthMm, 0],
  [widthMm, depthMm],
  [0, depthMm],
];

/** The best of the workers, with all that they told on the way. */
async function searched(problem: NestProblem, seconds: number) {
  const told: Told[] = [];
  const best = await Promise.all(
    Array.from(
      { length: WORKERS },
      (_, n) =>
        new Promise<Told>((resolve, reject) => {
          const worker = fork(fileURLToPath(new URL('./nestChild.ts', import.meta.url)), {
            execArgv: ['--import', 'tsx'],
          });
          worker.send({ problem, seed: 1 + n, seconds });
          let last: Told | undefined;
          worker.on('message', (message: Told) => {
            told.push(message);
            last = message;
          });
          worker.on('error', reject);
          worker.on('exit', () => (last ? resolve(last) : reject(new Error('nothing was told'))));
        }),
    ),
  );
  const [first] = best.sort(
    (a, b) => a.leftOver.length - b.leftOver.length || a.sheets - b.sheets || a.reachMm - b.reachMm,
  );
  const faults = faultsOf(problem, first.placed);
  if (faults.length || first.leftOver.length) throw new Error(`a layout is wrong: ${faults.join(', ')}`);
  return { ...first, tries: best.reduce((sum, { tries }) => sum + tries, 0), told };
}

/** The boxes of pieces packed by a library into bins; in how many. */
function boxesIn(pieces: readonly Polygon[], widthMm: number, depthMm: number): number {
  const packer = new MaxRectsPacker(widthMm, depthMm, 0, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
  });
  packer.addArray(
    pieces.map(({ outer }) => {
      const box = ringSize(outer);
      return { width: box.widthMm, height: box.depthMm };
    }),
  );
  return packer.bins.some(({ rects }) => rects.some(({ oversized }) => oversized))
    ? Number.POSITIVE_INFINITY
    : packer.bins.length;
}

/** How long a strip the boxes of the pieces need: the shortest into which the library gets them all, to 2 mm. */
function boxesReach(pieces: readonly Polygon[]): number {
  const sizes = pieces.map(({ outer }) => ringSize(outer));
  let lengthMm = Math.max(...sizes.map(({ widthMm, depthMm }) => Math.min(widthMm, depthMm)));
  while (boxesIn(pieces, lengthMm, STRIP_MM) > 1) lengthMm += 2;
  return lengthMm;
}

const sample = (name: string): Project => {
  const read = readProject(readFileSync(new URL(`../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};

/** A sample's layers cut from sheets of one thickness. */
function layersOf(name: string, thicknessMm: number, kind: 'solid' | 'rings'): Polygon[] {
  const project = sample(name);
  const [sheet] = project.sheets;
  const sheets = [{ ...sheet, nominalMm: thicknessMm, measuredMm: null, count: 99, widthMm: 3000, depthMm: 3000 }];
  const { report } = plan({
    ...project,
    sheets,
    offcuts: [],
    stacking: { ...project.stacking, leastStepMm: 2, hollow: { ...project.stacking.hollow, kind } },
  });
  return report.cutting.pieces.map(({ outline }) => outline);
}

const problemOf = (
  pieces: readonly Polygon[],
  turns: (outline: Ring) => number[],
  beds: readonly Ring[],
  anyTurn = false,
): NestProblem => ({
  pieces: pieces.map((outline, k) => ({ id: `${k}`, outline, turns: turns(outline.outer), anyTurn })),
  beds: beds.map((outline, k) => ({ id: `${k + 1}`, outline, kind: 'sheet' })),
  gapMm: 0,
  marginMm: 0,
  pinned: [],
});
const freely = (outer: Ring) => turnsOf(outer, { kind: 'free' }, 8);

const areaOf = (pieces: readonly Polygon[]) => pieces.reduce((sum, piece) => sum + polygonArea(piece), 0);

/** Only one sample, where it is named on the command line; then no sheets cut at random. */
const only = process.argv[2];
const rows = [];
const ratios: number[] = [];
for (const name of ['harl-quarry', 'vessa-terraces', 'tarrow-moor'].filter((each) => !only || each === only))
  for (const kind of ['solid', 'rings'] as const)
    for (const thicknessMm of [5, 10]) {
      const pieces = layersOf(name, thicknessMm, kind);
      const boxes = boxesReach(pieces);
      const strip = bed(Math.max(500, boxes * 1.5), STRIP_MM);
      const found = await searched(problemOf(pieces, freely, [strip], true), SAMPLE_SECONDS);
      const sheetsOfBoxes = boxesIn(pieces, SHEET.widthMm, SHEET.depthMm);
      const sheets = Array.from({ length: sheetsOfBoxes }, () => bed(SHEET.widthMm, SHEET.depthMm));
      const onSheets = await searched(problemOf(pieces, freely, sheets, true), SHEET_SECONDS);
      const gain = boxes / found.reachMm;
      ratios.push(gain);
      rows.push({
        layers: `${name}, ${thicknessMm} mm, ${kind}`,
        pieces: pieces.length,
        'boxes, mm': whole(boxes),
        'ours, mm': whole(found.reachMm),
        'boxes / ours': ratio(boxes, found.reachMm),
        'at most': ratio(boxes * STRIP_MM, areaOf(pieces)),
        'sheets, boxes': sheetsOfBoxes,
        'sheets, ours': onSheets.sheets,
        tries: found.tries,
      });
    }
console.log(
  `Layers of the samples on a strip of ${STRIP_MM} mm, ${SAMPLE_SECONDS} s, ${WORKERS} workers, against their boxes packed by a library ("at most": if nothing at all were lost). Then on sheets of ${SHEET.widthMm} x ${SHEET.depthMm} mm, ${SHEET_SECONDS} s; more of them than boxes need would stop the run.`,
);
console.table(rows);
const mean = (some: readonly number[]) =>
  Math.exp(some.reduce((sum, each) => sum + Math.log(each), 0) / some.length).toFixed(3);
if (!only)
  console.log(
    `Geometric mean ${mean(ratios)}; of the two samples whose pieces do not fill their boxes ${mean(ratios.slice(0, 8))}.`,
  );

const cuts = [];
for (const [seed, count] of only
  ? []
  : [
      [1, 12],
      [2, 12],
      [3, 16],
      [4, 20],
    ]) {
  const pieces = cutUp(STRIP_MM, STRIP_MM, count, seed);
  const found = await searched(
    problemOf(pieces, (outer) => turnsOf(outer, { kind: 'steps', degrees: 90 }, 8), [bed(STRIP_MM * 2.2, STRIP_MM)]),
    CUT_SECONDS,
  );
  const at = (seconds: number) => {
    const reached = found.told.filter((each) => each.seconds <= seconds).map(({ reachMm }) => reachMm);
    return reached.length ? ratio(STRIP_MM, Math.min(...reached)) : '';
  };
  cuts.push({
    pieces: count,
    '1 s': at(1.5),
    '2 s': at(2),
    '5 s': at(5),
    '10 s': at(10),
    '20 s': at(20),
    '40 s': at(40),
    [`${CUT_SECONDS} s`]: ratio(STRIP_MM, found.reachMm),
    tries: found.tries,
  });
}
if (cuts.length) {
  console.log('A sheet cut up at random, laid again: how dense, over time (1 is the sheet it came from).');
  console.table(cuts);
}
