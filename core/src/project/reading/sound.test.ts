import { describe, expect, it } from 'vitest';
import { seeded } from '../../testing/edits.ts';
import { drawItem, faultOfEdit, type Project, parseProject, startProject } from '../index.ts';

const own = (): Project => startProject('own', '2027-03-01', 'ground');
const why = (project: Project): string => {
  const read = parseProject(JSON.parse(JSON.stringify(project)));
  return read.ok ? 'taken' : `${read.fault.place}: ${read.fault.message} ${read.fault.remedy}`;
};
const withBase = (base: Partial<Project['base']>): Project => ({ ...own(), base: { ...own().base, ...base } });
const outline = (...points: [number, number][]) => withBase({ shape: { kind: 'outline', points } });

describe('what no field can tell by itself', () => {
  it('a base whose outline crosses itself, or encloses nothing, is refused with its place', () => {
    expect(why(outline([0, 0], [200, 0], [200, 150], [0, 150]))).toBe('taken');
    expect(why(outline([0, 0], [200, 150], [200, 0], [0, 150]))).toContain(
      'base.shape.points: The outline of the base',
    );
    expect(why(outline([0, 0], [100, 100], [200, 200]))).toContain('encloses nothing');
    expect(why(outline([0, 0], [5, 0], [5, 5]))).toContain('smaller than 20 mm');
  });

  it('a frame wider than its base is refused, one that leaves the base to be seen is taken', () => {
    const framed = (widthMm: number, lapMm: number) =>
      withBase({ shape: { kind: 'rectangle', widthMm: 120, depthMm: 80 }, frame: { widthMm, heightMm: 20, lapMm } });
    expect(why(framed(80, 39))).toBe('taken');
    expect(why(framed(81, 0))).toContain('base.frame.widthMm: The frame is wider than its base');
    expect(why(framed(30, 40))).toContain('base.frame.lapMm');
  });

  it('an outline whose corners lie in one line is refused, also on another tile and as an edit', () => {
    const flat = drawItem(
      own(),
      'pad',
      [
        [10, 10],
        [50, 10],
        [90, 10],
      ],
      20,
      {},
    ).project;
    expect(why(flat)).toContain('landforms[0].points: The outline encloses nothing');
    expect(faultOfEdit(own(), flat)?.message).toContain('That does not go: The outline encloses nothing');
    // A bow tie has halves that cancel out; it is drawn all the same, and told in the checks.
    const tie = drawItem(
      own(),
      'pad',
      [
        [10, 10],
        [50, 50],
        [50, 10],
        [10, 50],
      ],
      20,
      {},
    ).project;
    expect(why(tie)).toBe('taken');
  });

  it('lines that wander further than ground can follow are refused: 20,000 scattered points, and many of few', () => {
    const random = seeded(1);
    const scattered = (points: number) =>
      Array.from({ length: points }, (): [number, number] => [random() * 290, random() * 200]);
    const line = (points: number) => drawItem(own(), 'contour', scattered(points), 20, { smooth: false }).project;
    expect(why(line(20_000))).toMatch(/marks\[0\]\.points: The line is 2\d{3} m long/);
    expect(why(line(500))).toBe('taken');
    const [mark] = line(1000).marks;
    const many = { ...own(), marks: Array.from({ length: 9 }, (_, k) => ({ ...mark, id: `m${k}` })) };
    expect(why(many)).toContain('All lines together are');
    // One that an older Hosket kept is opened all the same, and may be made better.
    expect(parseProject(many, true).ok).toBe(true);
    expect(faultOfEdit(many, { ...many, marks: many.marks.slice(1) })).toBeNull();
    // A real one of as many points goes round and round no more often than a hand would draw it.
    const traced = Array.from({ length: 20_000 }, (_, k): [number, number] => [
      148 + 90 * Math.cos(k / 3183) + Math.sin(k / 7),
      105 + 90 * Math.sin(k / 3183) + Math.cos(k / 7),
    ]);
    expect(why(drawItem(own(), 'contour', traced, 20, { smooth: false }).project)).toBe('taken');
  });

  it('money without end is refused', () => {
    const [sheet, ...rest] = own().sheets;
    expect(why({ ...own(), sheets: [{ ...sheet, price: 1e308 }, ...rest] })).toContain('sheets[0].price');
  });
});
