import type { Grid, Mark } from '@hosket/core';

/** The harmonic problem on a lattice: every free node the mean of its neighbours, nodes nearest to the lines held at their heights. */
export interface Harmonic {
  columns: number;
  rows: number;
  z: Float64Array;
  held: Uint8Array;
}

/** Sets the contours down on the nodes nearest to them. */
export function harmonicOf({ columns, rows, cellMm }: Grid, marks: readonly Mark[]): Harmonic {
  const z = new Float64Array(columns * rows);
  const held = new Uint8Array(columns * rows);
  for (const mark of marks) {
    if (mark.kind !== 'contour') continue;
    mark.points.forEach((from, k) => {
      const to = mark.points[(k + 1) % mark.points.length];
      const pieces = Math.ceil((2 * Math.hypot(to[0] - from[0], to[1] - from[1])) / cellMm);
      for (let s = 0; s < pieces; s++) {
        const i = Math.round((from[0] + ((to[0] - from[0]) * s) / pieces) / cellMm);
        const j = Math.round((from[1] + ((to[1] - from[1]) * s) / pieces) / cellMm);
        if (i < 0 || j < 0 || i >= columns || j >= rows) continue;
        held[j * columns + i] = 1;
        z[j * columns + i] = mark.heightMm;
      }
    });
  }
  return { columns, rows, z, held };
}

/** One sweep of Gauss-Seidel over the free nodes towards mean of neighbours + wanted / 4; gives the largest change. */
function sweep({ columns, rows, z, held }: Harmonic, wanted: Float64Array | null): number {
  let most = 0;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const n = j * columns + i;
      if (held[n]) continue;
      const across = z[i > 0 ? n - 1 : n + 1] + z[i < columns - 1 ? n + 1 : n - 1];
      const away = z[j > 0 ? n - columns : n + columns] + z[j < rows - 1 ? n + columns : n - columns];
      const mean = (across + away + (wanted ? wanted[n] : 0)) / 4;
      const change = Math.abs(mean - z[n]);
      if (change > most) most = change;
      z[n] = mean;
    }
  return most;
}

/** Sweeps to a thousandth of a millimetre's change are too many to wait for: a stand-in for the answer comes from many multigrid visits. */
const ANSWER_VISITS = 60;

/** The worst difference between two fields, mm. */
const apart = (a: Float64Array, b: Float64Array) => a.reduce((most, z, n) => Math.max(most, Math.abs(z - b[n])), 0);

export function harmonicAnswer(problem: Harmonic): Float64Array {
  const work = { ...problem, z: problem.z.slice() };
  for (let k = 0; k < ANSWER_VISITS; k++) visit(work, null);
  return work.z;
}

const fresh = (problem: Harmonic): Harmonic => ({ ...problem, z: problem.z.slice() });

/** Time of plain Gauss-Seidel until no node is further than 0.1 mm from the answer, ms: watched every 50 sweeps, outside the clock. */
export function gaussSeidelMs(problem: Harmonic, answer: Float64Array): number {
  const work = fresh(problem);
  let ms = 0;
  do {
    const from = performance.now();
    for (let k = 0; k < 50; k++) sweep(work, null);
    ms += performance.now() - from;
  } while (apart(work.z, answer) > 0.1);
  return ms;
}

/** Time of multigrid visits (two sweeps before and after, from nothing) to the same 0.1 mm, ms. */
export function multigridMs(problem: Harmonic, answer: Float64Array): number {
  const work = fresh(problem);
  let ms = 0;
  do {
    const from = performance.now();
    visit(work, null);
    ms += performance.now() - from;
  } while (apart(work.z, answer) > 0.1 && ms < 60_000);
  return ms;
}

/** One V-cycle: sweeps, what is left gathered on a lattice of twice the cell, its answer spread back, sweeps. */
function visit(problem: Harmonic, wanted: Float64Array | null): void {
  const { columns, rows, z, held } = problem;
  if (Math.min(columns, rows) < 8) {
    for (let k = 0; k < 40; k++) sweep(problem, wanted);
    return;
  }
  for (let k = 0; k < 2; k++) sweep(problem, wanted);
  const [wide, deep] = [Math.ceil((columns - 1) / 2) + 1, Math.ceil((rows - 1) / 2) + 1];
  const coarse: Harmonic = {
    columns: wide,
    rows: deep,
    z: new Float64Array(wide * deep),
    held: new Uint8Array(wide * deep),
  };
  const left = new Float64Array(wide * deep);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const n = j * columns + i;
      const c = (j >> 1) * wide + (i >> 1);
      const [right, up] = [i & 1, j & 1 ? wide : 0];
      const corners = [c, c + right, c + up, c + right + up];
      if (held[n]) {
        for (const corner of corners) coarse.held[corner] = 1;
        continue;
      }
      const across = z[i > 0 ? n - 1 : n + 1] + z[i < columns - 1 ? n + 1 : n - 1];
      const away = z[j > 0 ? n - columns : n + columns] + z[j < rows - 1 ? n + columns : n - columns];
      const rest = (wanted ? wanted[n] : 0) + across + away - 4 * z[n];
      for (const corner of corners) left[corner] += rest / 4;
    }
  visit(coarse, left);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const n = j * columns + i;
      if (held[n]) continue;
      const c = (j >> 1) * wide + (i >> 1);
      const [right, up] = [i & 1, j & 1 ? wide : 0];
      z[n] += (coarse.z[c] + coarse.z[c + right] + coarse.z[c + up] + coarse.z[c + right + up]) / 4;
    }
  for (let k = 0; k < 2; k++) sweep(problem, wanted);
}
