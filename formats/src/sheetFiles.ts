import type { BedReport, Point } from '@hosket/core';
import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { printable, xmlText } from './printable.ts';

/** What lines of a sheet's file are for; each is a layer of its own. Colours by number (DXF) and in the SVG. */
const kinds = {
  sheet: { colour: 8, svg: '#888888' },
  cut: { colour: 1, svg: '#d00000' },
  holes: { colour: 5, svg: '#0000d0' },
  labels: { colour: 3, svg: '#007000' },
  offcuts: { colour: 9, svg: '#b0b0b0' },
} as const;
type Kind = keyof typeof kinds;

interface Line {
  kind: Kind;
  points: readonly Point[];
}

/** Everything on a sheet, in mm from its near left corner. */
function linesOf(bed: BedReport): Line[] {
  return [
    { kind: 'sheet', points: bed.outline },
    ...bed.pieces.flatMap(({ lies }): Line[] => [
      { kind: 'cut', points: lies.outer },
      ...lies.holes.map((points): Line => ({ kind: 'holes', points })),
    ]),
    ...bed.left.map((points): Line => ({ kind: 'offcuts', points })),
  ];
}

const labelsOf = (bed: BedReport) =>
  bed.pieces.map(({ piece, xMm, yMm }) => ({ text: piece, at: [xMm, yMm] as const }));

/** A sheet as DXF in millimetres, one layer for each kind of line. */
export function sheetDxf(bed: BedReport): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  for (const [name, { colour }] of Object.entries(kinds)) writer.addLayer(name, colour, 'Continuous');
  for (const { kind, points } of linesOf(bed))
    writer.addLWPolyline(
      points.map(([x, y]) => ({ point: point2d(x, y) })),
      { layerName: kind, flags: LWPolylineFlags.Closed },
    );
  for (const { text, at } of labelsOf(bed))
    writer.addText(point3d(at[0], at[1], 0), 6, printable(text), { layerName: 'labels' });
  return writer.stringify();
}

/** A sheet as SVG in millimetres (width and height say so), a group for each kind of line; y runs down, so the far edge is on top. */
export function sheetSvg(bed: BedReport): string {
  const width = Math.max(...bed.outline.map(([x]) => x));
  const height = Math.max(...bed.outline.map(([, y]) => y));
  const number = (value: number) => String(Number(value.toFixed(3)));
  const path = (points: readonly Point[]) =>
    `${points.map(([x, y], k) => `${k ? 'L' : 'M'}${number(x)} ${number(height - y)}`).join('')}Z`;
  const lines = linesOf(bed);
  const groups = (Object.keys(kinds) as Kind[])
    .filter((kind) => kind !== 'labels')
    .map((kind) => {
      const mine = lines.filter((line) => line.kind === kind);
      const paths = mine.map(({ points }) => `    <path d="${path(points)}"/>`).join('\n');
      return `  <g id="${kind}" fill="none" stroke="${kinds[kind].svg}" stroke-width="0.1">\n${paths}\n  </g>`;
    });
  const words = labelsOf(bed)
    .map(({ text, at }) => `    <text x="${number(at[0])}" y="${number(height - at[1])}">${xmlText(text)}</text>`)
    .join('\n');
  groups.push(`  <g id="labels" fill="${kinds.labels.svg}" font-size="6" text-anchor="middle">\n${words}\n  </g>`);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="0 0 ${number(width)} ${number(height)}">`,
    ...groups,
    '</svg>',
    '',
  ].join('\n');
}
