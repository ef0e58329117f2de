import { baseSize, changeItem, createDrafter, createPlanner, type Mark, type Project } from '@hosket/core';
import { contours } from 'd3-contour';
import { footprints, gridOver } from '../../core/src/geometry/index.ts';
import { cellOf, type Solved, solvedOf } from '../../core/src/ground/index.ts';
import { toEnd } from '../../core/src/kernel/index.ts';
import { evenSkin, targetOf } from '../../core/src/layers/index.ts';
import { checks } from './checks.ts';
import { choices, noisyFootprints } from './choices.ts';
import { gaussSeidelMs, harmonicAnswer, harmonicOf, multigridMs } from './harmonic.ts';
import { hillProject } from './hill.ts';
import { takeoffs } from './takeoffs.ts';
import { middle, ratio, timed, whole } from './timed.ts';

/** Timed comparisons in one run: read the ratios, the milliseconds are this machine's. */

/** Plain Gauss-Seidel takes minutes on more nodes than this. */
const MOST_FOR_PLAIN = 130_000;

const sizes = [
  { name: 'A4', widthMm: 297, depthMm: 210 },
  { name: 'A3', widthMm: 420, depthMm: 297 },
  { name: '1200 x 600', widthMm: 1200, depthMm: 600 },
];

/** One ring a little higher or lower than it was: a small change of a line. */
function nudged(project: Project, run: number): Project {
  const ring = project.marks[3] as Extract<Mark, { kind: 'contour' }>;
  return changeItem(project, ring.id, { heightMm: ring.heightMm + (run % 2 ? 1 : -1) });
}

/** The road a little to one side, as while it is dragged. */
const dragged = (project: Project, frame: number): Project => {
  const [road] = project.landforms;
  return changeItem(project, road.id, { points: road.points.map(([x, y], k) => [x, k === 1 ? y + frame : y]) });
};

const grounds = [];
const plans = [];
const outlines = [];
for (const { name, widthMm, depthMm } of sizes) {
  const project = hillProject(name, widthMm, depthMm);
  const lattice = gridOver(widthMm, depthMm, cellOf(project.base));
  const lines: Project = { ...project, landforms: [] };
  const solved = timed<Solved>(() => toEnd(solvedOf(lines, lattice.cellMm)));
  const problem = harmonicOf(lattice, project.marks);
  const answer = harmonicAnswer(problem);
  const multigrid = middle([0, 1, 2].map(() => multigridMs(problem, answer)));
  const plain = lattice.values.length < MOST_FOR_PLAIN ? gaussSeidelMs(problem, answer) : null;
  grounds.push({
    base: name,
    nodes: lattice.values.length,
    'bending, ms': whole(solved.ms),
    'harmonic, multigrid, ms': whole(multigrid),
    'bending / multigrid': ratio(solved.ms, multigrid),
    'harmonic, Gauss-Seidel, ms': plain === null ? 'minutes' : whole(plain),
    'Gauss-Seidel / bending': plain === null ? '' : ratio(plain, solved.ms),
  });

  const planned = timed(() => toEnd(createPlanner().run(project)));
  const planner = createPlanner();
  toEnd(planner.run(project));
  const landform = timed((run) => toEnd(planner.run(dragged(project, run + 2), true)));
  const far = createPlanner();
  toEnd(far.run(project));
  const spot = timed((run) => toEnd(far.run(nearSpot(project, run), true)));
  const ring = timed((run) => toEnd(far.run(nudged(project, run), true)));
  const draft = createDrafter();
  const frames = timed((run) => draft(dragged(project, run / 10)), 30);
  const lineFrames = timed((run) => draft(nudged(project, run)), 30);
  plans.push({
    base: name,
    'whole plan, ms': whole(planned.ms),
    'road moved, ms': whole(landform.ms),
    'spot moved, ms': whole(spot.ms),
    'spot / whole': ratio(spot.ms, planned.ms),
    'ring raised, ms': whole(ring.ms),
    'draft, road dragged, ms': Number(frames.ms.toFixed(1)),
    'draft, ring raised, ms': Number(lineFrames.ms.toFixed(1)),
  });

  const target = timed(() => targetOf(planned.value.ground, evenSkin(3)));
  const { grid } = target.value;
  const levels = Array.from({ length: 8 }, (_, k) => 5 + 7.5 * k);
  const ours = timed(() => footprints(grid, levels));
  const values = [...grid.values];
  const theirs = timed(() => levels.map((level) => contours().size([grid.columns, grid.rows]).contour(values, level)));
  outlines.push({
    base: name,
    'target, ms': whole(target.ms),
    'footprints, ms': Number(ours.ms.toFixed(1)),
    'd3-contour, ms': Number(theirs.ms.toFixed(1)),
    'footprints / d3-contour': ratio(ours.ms, theirs.ms),
  });
}

/** A spot on the hill's side, here and a little further. */
function nearSpot(project: Project, run: number): Project {
  const { widthMm, depthMm } = baseSize(project.base);
  const spot: Mark = {
    kind: 'spot',
    id: 'spot',
    name: 'spot',
    heightMm: 18,
    hidden: false,
    locked: false,
    points: [[widthMm * 0.5 + run + 2, depthMm * 0.9]],
  };
  return { ...project, marks: [...project.marks, spot] };
}

console.log('The ground: least bending against the easier harmonic problem on the same lines, both to 0.1 mm.');
console.table(grounds);
console.log('The plan: from nothing, and after an edit (the quick answer); a draft is what follows the pointer.');
console.table(plans);
console.log('Footprints of eight levels of the foam target with their holes, against the bare contours of a library.');
console.table(outlines);
console.log('The take-off of ten zones of eight coats: from an edit to the whole plan.');
console.table([takeoffs()]);

console.log('\nAll rules over a full project: a hundred jars, every step done');
console.table(checks());
console.log('One level of a noisy field of 720,000 cells: whose hole is whose.');
console.table(noisyFootprints());
console.log('The choice of a stack: six thicknesses to 400 mm, every joint in steps of 0.05 mm.');
console.table(choices());
