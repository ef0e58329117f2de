import { type LayerReport, type SectionSample, tenth } from '@hosket/core';

/** A drawn part of the section: an area or line as an SVG path. */
export interface SectionPaths {
  foam: { layer: number; path: string }[];
  /** What is cut out of layers: rings and hollow cores. */
  cutOut: string;
  carve: string;
  fill: string;
  skin: string;
  /** The board, where it lies under the ground. */
  board: string;
  /** The ground as it is said, and where it is guessed. */
  ground: string;
  guess: string;
}

type Across = (alongMm: number) => number;
type Up = (heightMm: number) => number;

/** The band between two heights, sample by sample, as closed areas; gaps where it is empty. */
function band(
  samples: readonly SectionSample[],
  low: (s: SectionSample) => number,
  high: (s: SectionSample) => number,
  across: Across,
  up: Up,
): string {
  let path = '';
  let run: SectionSample[] = [];
  const close = () => {
    if (run.length > 1) {
      const there = run.map((s) => `${tenth(across(s.alongMm))} ${tenth(up(high(s)))}`);
      const back = [...run].reverse().map((s) => `${tenth(across(s.alongMm))} ${tenth(up(low(s)))}`);
      path += `M${there.join('L')}L${back.join('L')}Z`;
    }
    run = [];
  };
  for (const sample of samples) {
    if (sample.onBase && high(sample) - low(sample) > 0.01) run.push(sample);
    else close();
  }
  close();
  return path;
}

/** Sheets as they remain, what is carved off, what is filled, the skin and the ground line, all to one scale. */
export function sectionPaths(
  samples: readonly SectionSample[],
  layers: readonly LayerReport[],
  across: Across,
  up: Up,
  guessed: (sample: SectionSample) => boolean = () => false,
  boardMm = 0,
): SectionPaths {
  const foam = layers.map(({ index, bottomMm, topMm }) => ({
    layer: index,
    path: band(
      samples,
      () => bottomMm,
      (s) => (s.layer >= index ? Math.max(bottomMm, Math.min(topMm, s.targetMm)) : bottomMm),
      across,
      up,
    ),
  }));
  const cutOut = layers.map(({ index, bottomMm, topMm }) =>
    band(
      samples,
      () => bottomMm,
      (s) => (s.cutOut.includes(index) ? topMm : bottomMm),
      across,
      up,
    ),
  );
  const carved = layers.map(({ index, bottomMm, topMm }) =>
    band(
      samples,
      (s) => Math.max(bottomMm, Math.min(topMm, s.targetMm)),
      (s) => (s.layer >= index ? topMm : bottomMm),
      across,
      up,
    ),
  );
  return {
    foam,
    cutOut: cutOut.join(''),
    carve: carved.join(''),
    fill: band(
      samples,
      (s) => Math.min(s.foamMm, s.targetMm),
      (s) => s.targetMm,
      across,
      up,
    ),
    skin: band(
      samples,
      (s) => s.targetMm,
      (s) => s.groundMm,
      across,
      up,
    ),
    board: band(
      samples,
      () => -boardMm,
      () => 0,
      across,
      up,
    ),
    ground: lineOver(samples, (s) => s.onBase && !guessed(s), across, up),
    guess: lineOver(samples, (s) => s.onBase && guessed(s), across, up),
  };
}

/** The ground line over those samples that belong to it, each run joined to the sample before it where that is on the base. */
function lineOver(
  samples: readonly SectionSample[],
  belongs: (sample: SectionSample) => boolean,
  across: Across,
  up: Up,
): string {
  const point = (s: SectionSample) => `${tenth(across(s.alongMm))} ${tenth(up(s.groundMm))}`;
  let path = '';
  let drawing = false;
  samples.forEach((sample, k) => {
    const here = belongs(sample);
    if (here)
      path += drawing
        ? `L${point(sample)}`
        : `M${k > 0 && samples[k - 1].onBase ? `${point(samples[k - 1])}L` : ''}${point(sample)}`;
    drawing = here;
  });
  return path;
}
