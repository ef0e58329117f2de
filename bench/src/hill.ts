import { drawItem, type Mark, type Project, startProject } from '@hosket/core';

/** Rings of a hill with a level top, scaled to the base. */
function hill(widthMm: number, depthMm: number): Mark[] {
  const ring = (share: number, heightMm: number, level: boolean): Mark => ({
    kind: 'contour',
    id: `ring-${heightMm}`,
    name: `ring ${heightMm}`,
    heightMm,
    closed: true,
    level,
    smooth: false,
    hidden: false,
    locked: false,
    points: Array.from({ length: 72 }, (_, k) => {
      const turn = (Math.PI * k) / 36;
      const wave = 1 + 0.12 * Math.sin(3 * turn);
      return [
        widthMm * (0.5 + 0.48 * share * wave * Math.cos(turn)),
        depthMm * (0.5 + 0.48 * share * wave * Math.sin(turn)),
      ];
    }),
  });
  return [
    ring(0.9, 12, false),
    ring(0.75, 23, false),
    ring(0.6, 37, false),
    ring(0.45, 52, false),
    ring(0.3, 66, true),
  ];
}

/** A project with that hill, sheets enough for it, and a road across. */
export function hillProject(name: string, widthMm: number, depthMm: number): Project {
  const start = startProject(name, '2027-03-01', 'ground');
  const base: Project = {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm, depthMm } },
    marks: hill(widthMm, depthMm),
    sheets: [{ ...start.sheets[0], count: 40, widthMm: 1250, depthMm: 600 }],
  };
  const across = [
    [0, depthMm * 0.2],
    [widthMm * 0.4, depthMm * 0.35],
    [widthMm, depthMm * 0.3],
  ] as const;
  return drawItem(base, 'way', across, 15).project;
}
