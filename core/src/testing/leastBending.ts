/**
 * An independent minimiser for the ground, for small lattices: the energy written down term by term (second differences across and away, twists
 * twice, squared first differences times the least tension, 250 times squared misses of the pins) and made least by plain elimination of its
 * normal equations. It shares nothing with the solver but the definition.
 */
export interface Pinned {
  /** Node numbers with their weights, and the height that they must come to. */
  parts: readonly (readonly [number, number])[];
  heightMm: number;
}

const PIN = 250;
const TENSION_PER_MM2 = 1e-9;

export function leastBending(columns: number, rows: number, cellMm: number, pins: readonly Pinned[]): Float64Array {
  const count = columns * rows;
  const matrix = Array.from({ length: count }, () => new Float64Array(count));
  const right = new Float64Array(count);
  const term = (weight: number, parts: readonly (readonly [number, number])[], wanted = 0) => {
    for (const [a, x] of parts) {
      right[a] += weight * x * wanted;
      for (const [b, y] of parts) matrix[a][b] += weight * x * y;
    }
  };
  const at = (i: number, j: number) => j * columns + i;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      if (i > 0 && i < columns - 1)
        term(1, [
          [at(i - 1, j), 1],
          [at(i, j), -2],
          [at(i + 1, j), 1],
        ]);
      if (j > 0 && j < rows - 1)
        term(1, [
          [at(i, j - 1), 1],
          [at(i, j), -2],
          [at(i, j + 1), 1],
        ]);
      const pull = TENSION_PER_MM2 * cellMm ** 2;
      if (i < columns - 1)
        term(pull, [
          [at(i, j), 1],
          [at(i + 1, j), -1],
        ]);
      if (j < rows - 1)
        term(pull, [
          [at(i, j), 1],
          [at(i, j + 1), -1],
        ]);
      if (i < columns - 1 && j < rows - 1)
        term(2, [
          [at(i, j), 1],
          [at(i + 1, j), -1],
          [at(i, j + 1), -1],
          [at(i + 1, j + 1), 1],
        ]);
    }
  for (const { parts, heightMm } of pins) term(PIN, parts, heightMm);
  return eliminated(matrix, right);
}

/** x with A x = b, A symmetric and positive: rows are cleared from the first down, then filled in from the last up. */
function eliminated(a: readonly Float64Array[], b: Float64Array): Float64Array {
  const n = b.length;
  for (let k = 0; k < n; k++)
    for (let row = k + 1; row < n; row++) {
      const share = a[row][k] / a[k][k];
      if (share === 0) continue;
      for (let column = k; column < n; column++) a[row][column] -= share * a[k][column];
      b[row] -= share * b[k];
    }
  const x = new Float64Array(n);
  for (let k = n - 1; k >= 0; k--) {
    let sum = b[k];
    for (let column = k + 1; column < n; column++) sum -= a[k][column] * x[column];
    x[k] = sum / a[k][k];
  }
  return x;
}

/** The pins of a straight line of one height across a lattice: one wherever it crosses an edge. */
export function straightPins(
  columns: number,
  rows: number,
  cellMm: number,
  [[x0, y0], [x1, y1]]: readonly (readonly [number, number])[],
  heightMm: number,
): Pinned[] {
  const pins: Pinned[] = [];
  const [dx, dy] = [x1 - x0, y1 - y0];
  if (dy !== 0)
    for (let j = 0; j < rows; j++) {
      const u = (x0 + ((j * cellMm - y0) / dy) * dx) / cellMm;
      const i = Math.floor(u);
      if (u >= 0 && i < columns - 1)
        pins.push({
          parts: [
            [j * columns + i, 1 - (u - i)],
            [j * columns + i + 1, u - i],
          ],
          heightMm,
        });
    }
  if (dx !== 0)
    for (let i = 0; i < columns; i++) {
      const v = (y0 + ((i * cellMm - x0) / dx) * dy) / cellMm;
      const j = Math.floor(v);
      if (v >= 0 && j < rows - 1)
        pins.push({
          parts: [
            [j * columns + i, 1 - (v - j)],
            [(j + 1) * columns + i, v - j],
          ],
          heightMm,
        });
    }
  return pins;
}
