import { readFileSync } from 'node:fs';
import {
  type BedReport,
  createSearch,
  type Project,
  plan,
  readProject,
  templatePages,
  templateSource,
  toEnd,
} from '@hosket/core';
import DxfParser from 'dxf-parser';
import { XMLParser } from 'fast-xml-parser';
import { strFromU8, unzipSync } from 'fflate';
import manifold, { type ManifoldToplevel } from 'manifold-3d';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { beforeAll, describe, expect, it } from 'vitest';
import { groundBody, stackBodies } from './bodies.ts';
import { POINTS_PER_MM, writePdf } from './pdf.ts';
import { sheetDxf, sheetSvg } from './sheetFiles.ts';
import { extruded, type Solid, writeStl } from './solids.ts';
import { writeThreeMf, zipFiles } from './threeMf.ts';

const sample = (name: string): Project => {
  const read = readProject(readFileSync(new URL(`../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};
const samples = ['harl-quarry', 'vessa-terraces', 'tarrow-moor'].map((name) => {
  const project = sample(name);
  return { project, ...plan(project) };
});
const [quarry, vessa] = samples;
const face = (weight: number) =>
  new Uint8Array(
    readFileSync(
      new URL(
        `../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-${weight}-normal.woff`,
        import.meta.url,
      ),
    ),
  );
const fonts = { plain: face(400), strong: face(600) };

describe('templates as PDF, read back with pdfjs-dist', () => {
  const printed = async (project: Project, kinds: Parameters<typeof templatePages>[2]) => {
    const pages = templatePages(
      project,
      templateSource(project, quarry.report, quarry.ground.grid, quarry.ground.outline),
      kinds,
    );
    const bytes = await writePdf(pages, 'Templates', fonts);
    return { pages, bytes, file: await getDocument({ data: bytes.slice(), verbosity: 0 }).promise };
  };

  it('pages have the size of their paper to 0.1 mm', async () => {
    for (const [size, w, h] of [
      ['A4', 210, 297],
      ['A3', 297, 420],
      ['Letter', 215.9, 279.4],
    ] as const) {
      const { file } = await printed({ ...quarry.project, paper: { ...quarry.project.paper, size } }, ['guide']);
      const [, , x, y] = (await file.getPage(1)).view;
      expect([x / POINTS_PER_MM, y / POINTS_PER_MM].sort((a, b) => a - b)).toEqual([
        expect.closeTo(w, 1),
        expect.closeTo(h, 1),
      ]);
    }
  });

  it('the bar is 100 mm long to 0.1 mm, and longer by what the printer loses', async () => {
    for (const barMm of [100, 98.4]) {
      const { file } = await printed({ ...quarry.project, paper: { ...quarry.project.paper, barMm } }, ['pieces']);
      for (let n = 1; n <= file.numPages; n++) {
        const longest = await levelLines(file, n);
        expect(longest.some((mm) => Math.abs(mm - 1e4 / barMm) < 0.1)).toBe(true);
      }
    }
  });

  it('words can be read, and a sign that the face lacks does no harm', async () => {
    const { pages } = await printed(quarry.project, ['pieces', 'profiles']);
    const odd = {
      at: [50, 50] as const,
      text: 'Schaum \u279c \u00e4 20',
      sizeMm: 4,
      align: 'left' as const,
      strong: false,
    };
    const bytes = await writePdf([{ ...pages[0], words: [...pages[0].words, odd] }, ...pages.slice(1)], 'Odd', fonts);
    const file = await getDocument({ data: bytes, verbosity: 0 }).promise;
    expect(file.numPages).toBe(pages.length);
    const items = (await (await file.getPage(1)).getTextContent()).items;
    const text = items
      .map((item) => ('str' in item ? item.str : ''))
      .join(' ')
      .replace(/\s+/g, ' ');
    expect(text).toContain('Piece 1-1 (page A1 of 4)');
    expect(text).toContain('100 mm: measure before cutting');
    expect(text).toContain('Schaum ? \u00e4 20');
  });

  it('the same pages give the same file', async () => {
    const [a, b] = [await printed(quarry.project, ['guide']), await printed(quarry.project, ['guide'])];
    expect(Buffer.compare(a.bytes, b.bytes)).toBe(0);
  });
});

/** Lengths of the level straight lines of a page, mm. */
async function levelLines(file: Awaited<ReturnType<typeof getDocument>['promise']>, page: number): Promise<number[]> {
  const { fnArray, argsArray } = await (await file.getPage(page)).getOperatorList();
  const lengths: number[] = [];
  fnArray.forEach((fn, k) => {
    if (fn !== OPS.constructPath) return;
    const values = Object.values(argsArray[k][1][0] ?? {}) as number[];
    // Moves and lines as 0, x, y and 1, x, y.
    if (values.length === 6 && values[0] === 0 && values[3] === 1 && Math.abs(values[2] - values[5]) < 1e-6)
      lengths.push(Math.abs(values[4] - values[1]) / POINTS_PER_MM);
  });
  return lengths;
}

describe('sheets for cutters', () => {
  const bed = quarry.report.cutting.beds[0];
  const around = ({ pieces }: BedReport) => pieces.map(({ lies }) => lies.outer.length);

  it('DXF in millimetres, a layer a kind of line, read back with dxf-parser', () => {
    const drawing = new DxfParser().parseSync(sheetDxf(bed));
    const of = (layer: string) => drawing?.entities.filter((entity) => entity.layer === layer) ?? [];
    expect(drawing?.header?.$INSUNITS).toBe(4);
    expect(of('cut').map((entity) => (entity as unknown as { vertices: unknown[] }).vertices.length)).toEqual(
      around(bed),
    );
    const sheet = (of('sheet')[0] as unknown as { vertices: { x: number; y: number }[] }).vertices;
    expect(Math.max(...sheet.map(({ x }) => x))).toBe(600);
    expect(Math.max(...sheet.map(({ y }) => y))).toBe(300);
    expect(of('labels')).toHaveLength(bed.pieces.length);
    expect(of('holes')).toHaveLength(bed.pieces.reduce((sum, { lies }) => sum + lies.holes.length, 0));
    expect(of('offcuts')).toHaveLength(bed.left.length);
  });

  it('SVG at full size, a group a kind of line', () => {
    const { svg } = new XMLParser({
      ignoreAttributes: false,
      isArray: (name) => name === 'path' || name === 'g',
    }).parse(sheetSvg(bed));
    expect([svg['@_width'], svg['@_height'], svg['@_viewBox']]).toEqual(['600mm', '300mm', '0 0 600 300']);
    const group = (id: string) => svg.g.find((each: { '@_id': string }) => each['@_id'] === id);
    expect(group('cut').path.map((path: { '@_d': string }) => path['@_d'].match(/[ML]/g)?.length)).toEqual(around(bed));
    expect(group('offcuts').path).toHaveLength(bed.left.length);
  });

  it('a zip holds what was put into it', () => {
    const files = unzipSync(zipFiles({ 'a.svg': sheetSvg(bed), 'b.dxf': sheetDxf(bed) }));
    expect(strFromU8(files['a.svg'])).toBe(sheetSvg(bed));
    expect(Object.keys(files)).toEqual(['a.svg', 'b.dxf']);
  });
});

describe('bodies, read back with manifold-3d', () => {
  let reader: ManifoldToplevel;
  beforeAll(async () => {
    reader = await manifold();
    reader.setup();
  });

  /** Volume of a closed body, mm3; throws where it is not closed. */
  const volume = ({ corners, faces }: Solid): number => {
    const mesh = new reader.Mesh({
      numProp: 3,
      vertProperties: Float32Array.from(corners.flat()),
      triVerts: Uint32Array.from(faces.flat()),
    });
    const body = new reader.Manifold(mesh);
    expect(body.status()).toBe('NoError');
    return body.volume();
  };

  it('every piece of every sample is closed, and as large as what is cut', () => {
    for (const { report } of samples)
      for (const solid of stackBodies(report)) {
        const piece = report.cutting.pieces.find(({ id }) => solid.name === `Piece ${id}`);
        const layer = report.stack.layers.find(({ index }) => index === piece?.layer);
        const wanted = (piece?.areaMm2 ?? 0) * ((layer?.topMm ?? 0) - (layer?.bottomMm ?? 0));
        expect(volume(solid) / wanted).toBeCloseTo(1, 4);
      }
  });

  it('a frame has its hole, and corners on a straight line do no harm', () => {
    const outer = [
      [0, 0],
      [50, 0],
      [100, 0],
      [100, 50],
      [100, 100],
      [0, 100],
      [0, 30],
      [0, 20],
      [0, 10],
    ] as [number, number][];
    const hole = [
      [20, 20],
      [20, 50],
      [20, 80],
      [80, 80],
      [80, 20],
    ] as [number, number][];
    expect(volume(extruded('frame', { outer, holes: [hole] }, 5, 15))).toBeCloseTo((10000 - 3600) * 10, 1);
  });

  it('the finished ground of every sample is closed, and as large as ground and board', () => {
    for (const { project, ground } of samples) {
      const wanted = ground.volumeMl * 1000 + ground.surface.planMm2 * project.base.board.thicknessMm;
      expect(volume(groundBody(project, ground.grid, ground.outline)) / wanted).toBeCloseTo(1, 3);
    }
  });

  it('binary STL holds every face: the same closed body comes out of it', () => {
    const solids = stackBodies(vessa.report);
    const bytes = writeStl(solids);
    const view = new DataView(bytes.buffer);
    const count = view.getUint32(80, true);
    expect(bytes.length).toBe(84 + 50 * count);
    const known = new Map<string, number>();
    const corners: [number, number, number][] = [];
    const faces: [number, number, number][] = [];
    for (let f = 0; f < count; f++)
      faces.push(
        [0, 1, 2].map((k) => {
          const at = 84 + 50 * f + 12 + 12 * k;
          const corner = [0, 4, 8].map((o) => view.getFloat32(at + o, true)) as [number, number, number];
          const key = corner.join();
          if (!known.has(key)) known.set(key, corners.push(corner) - 1);
          return known.get(key) as number;
        }) as [number, number, number],
      );
    const cut = solids.reduce((sum, solid) => sum + volume(solid), 0);
    expect(volume({ name: 'stl', corners, faces }) / cut).toBeCloseTo(1, 4);
  });

  it('3MF holds an object a piece, in millimetres (3MF Core Specification)', () => {
    const solids = stackBodies(vessa.report);
    const files = unzipSync(writeThreeMf('Vessa & co', solids));
    expect(Object.keys(files).sort()).toEqual(['3D/3dmodel.model', '[Content_Types].xml', '_rels/.rels']);
    const { model } = new XMLParser({
      ignoreAttributes: false,
      parseAttributeValue: true,
      isArray: (name) => ['object', 'vertex', 'triangle', 'item'].includes(name),
    }).parse(strFromU8(files['3D/3dmodel.model']));
    expect(model['@_unit']).toBe('millimeter');
    expect(model.build.item).toHaveLength(solids.length);
    model.resources.object.forEach((object: Record<string, never>, k: number) => {
      const { vertices, triangles } = object.mesh as {
        vertices: { vertex: Record<string, number>[] };
        triangles: { triangle: Record<string, number>[] };
      };
      const body: Solid = {
        name: '3mf',
        corners: vertices.vertex.map((v) => [v['@_x'], v['@_y'], v['@_z']]),
        faces: triangles.triangle.map((t) => [t['@_v1'], t['@_v2'], t['@_v3']]),
      };
      expect(volume(body) / volume(solids[k])).toBeCloseTo(1, 4);
    });
  });
});

it('a search runs on what a plan hands out for it', () => {
  const [job] = quarry.cutting.jobs;
  const search = createSearch(job.problem, 1);
  for (let k = 0; k < 20; k++) search.step();
  const { placed, leftOver } = toEnd(search.best());
  expect(placed.length + leftOver.length).toBe(job.pieceIds.length);
});
