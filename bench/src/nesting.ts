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

/** Two workers on a strip as wide as a usual board; the shorter the strip, the denser. Read the ratios, the seconds are this machine's. */
const STRIP_MM = 600;
const WORKERS = 2;
const SAMPLE_SECONDS = 10;
const CUT_SECONDS = 60;

interface Told {
  seconds: number;
  reachMm: number;
  tries: number;
  placed: Placed[];
  leftOver: number[];
}

const strip = (lengthMm: number): Ring => [
  [0, 0],
  [lengthMm, 0],
  [lengthMm, STRIP_MM],
  [0, STRIP_MM],
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
  const [first] = best.sort((a, b) => a.leftOver.length - b.leftOver.length || a.reachMm - b.reachMm);
  const faults = faultsOf(problem, first.placed);
  if (faults.length || first.leftOver.length) throw new Error(`a layout is wrong: ${faults.join(', ')}`);
  return { ...first, tries: best.reduce((sum, { tries }) => sum + tries, 0), told };
}

/** How long a strip the boxes of the pieces need, packed by a library: the shortest strip into which it gets them all, to 2 mm. */
function boxesReach(pieces: readonly Polygon[]): number {
  const boxes = pieces.map(({ outer }) => ringSize(outer));
  const packs = (lengthMm: number) => {
    const packer = new MaxRectsPacker(lengthMm, STRIP_MM, 0, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: true,
    });
    packer.addArray(boxes.map(({ widthMm, depthMm }) => ({ width: widthMm, height: depthMm })));
    return packer.bins.length === 1 && !packer.bins[0].rects.some(({ oversized }) => oversized);
  };
  const least = Math.max(...boxes.map(({ widthMm, depthMm }) => Math.min(widthMm, depthMm)));
  let lengthMm = least;
  while (!packs(lengthMm)) lengthMm += 2;
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

const problemOf = (pieces: readonly Polygon[], turns: (outline: Ring) => number[], lengthMm: number): NestProblem => ({
  pieces: pieces.map((outline, k) => ({ id: `${k}`, outline, turns: turns(outline.outer) })),
  beds: [{ id: 'strip', outline: strip(lengthMm), kind: 'sheet' }],
  gapMm: 0,
  marginMm: 0,
  pinned: [],
});

const areaOf = (pieces: readonly Polygon[]) => pieces.reduce((sum, piece) => sum + polygonArea(piece), 0);

const rows = [];
const ratios: number[] = [];
for (const name of ['harl-quarry', 'vessa-terraces', 'tarrow-moor'])
  for (const kind of ['solid', 'rings'] as const)
    for (const thicknessMm of [5, 10]) {
      const pieces = layersOf(name, thicknessMm, kind);
      const boxes = boxesReach(pieces);
      const found = await searched(
        problemOf(pieces, (outer) => turnsOf(outer, { kind: 'free' }, 8), Math.max(500, boxes * 1.5)),
        SAMPLE_SECONDS,
      );
      const gain = boxes / found.reachMm;
      const boxMm2 = pieces.reduce((sum, { outer }) => {
        const { widthMm, depthMm } = ringSize(outer);
        return sum + widthMm * depthMm;
      }, 0);
      ratios.push(gain);
      rows.push({
        layers: `${name}, ${thicknessMm} mm, ${kind}`,
        pieces: pieces.length,
        'boxes, mm': whole(boxes),
        'ours, mm': whole(found.reachMm),
        'boxes / ours': ratio(boxes, found.reachMm),
        'pieces / their boxes': ratio(areaOf(pieces), boxMm2),
        tries: found.tries,
      });
    }
console.log(
  `Layers of the samples on a strip of ${STRIP_MM} mm, ${SAMPLE_SECONDS} s, ${WORKERS} workers, against their boxes packed by a library.`,
);
console.table(rows);
const mean = (some: readonly number[]) =>
  Math.exp(some.reduce((sum, each) => sum + Math.log(each), 0) / some.length).toFixed(3);
console.log(
  `Geometric mean ${mean(ratios)}; of the two samples whose pieces do not fill their boxes ${mean(ratios.slice(0, 8))}.`,
);

const cuts = [];
for (const [seed, count] of [
  [1, 12],
  [2, 12],
  [3, 16],
  [4, 20],
]) {
  const pieces = cutUp(STRIP_MM, STRIP_MM, count, seed);
  const found = await searched(
    problemOf(pieces, (outer) => turnsOf(outer, { kind: 'steps', degrees: 90 }, 8), STRIP_MM * 2.2),
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
console.log('A sheet cut up at random, laid again: how dense, over time (1 is the sheet it came from).');
console.table(cuts);
