import type { Paper } from '../project/index.ts';
import { inLines, type Page, paperSize, type Stroke, type Words } from '../templates/index.ts';
import { type SmallDrawing, smallPlan, smallSection } from './drawings.ts';
import type { BenchSheet, SheetPurchase, SheetStep } from './sheet.ts';

/** Sizes of type, mm. */
interface Type {
  title: number;
  step: number;
  body: number;
  small: number;
  box: number;
  /** How tall plan and section of a stage are drawn. */
  drawn: number;
}

/** Large type is read at arm's length with paste on the hands (its body is 15 points); the other saves paper (11 points). */
const large: Type = { title: 8, step: 6, body: 5.2, small: 4.4, box: 5, drawn: 45 };
const usual: Type = { title: 6, step: 4.6, body: 3.9, small: 3.4, box: 4, drawn: 30 };

const LEADING = 1.35;
const MARGIN = 12;

/**
 * Pages of a bench sheet: one page of all of it first, then the stages one after another with where each is, as many on a page as there is room for,
 * then the shopping list. No step is broken between pages that one page could hold.
 */
export function benchPages(sheet: BenchSheet, paper: Paper, { largeType = false } = {}): Page[] {
  const type = largeType ? large : usual;
  const { widthMm, heightMm } = paperSize(paper);
  const on = (title: string) => writer(type, title, widthMm, heightMm);
  const pages = [
    ...summaryPage(sheet, on(`${sheet.project}: the whole of it`)),
    ...stagePages(sheet, on(sheet.stages[0]?.title ?? 'Nothing to do')),
    ...shoppingPages(sheet, on('Shopping list')),
  ];
  const foot = type.small - 0.6;
  return pages.map((page, k) => ({
    ...page,
    words: [
      ...page.words,
      {
        at: [MARGIN, 7] as const,
        text: inLines(
          `${sheet.project}, ${sheet.base}; page ${k + 1} of ${pages.length}`,
          foot,
          widthMm - 2 * MARGIN,
        )[0],
        sizeMm: foot,
        align: 'left' as const,
        strong: false,
      },
    ],
  }));
}

type Writer = ReturnType<typeof writer>;

/** A page that is filled from the top; what does not fit begins another, under the title that holds then. */
function writer(type: Type, firstTitle: string, widthMm: number, heightMm: number) {
  const roomMm = widthMm - 2 * MARGIN;
  const pages: Page[] = [];
  let title = firstTitle;
  let y = 0;
  let strokes: Stroke[] = [];
  let words: Words[] = [];
  // What is only measured leaves nothing on the page and begins none.
  let dry = false;
  const heading = () => {
    y -= type.title;
    if (!dry)
      words.push({
        at: [MARGIN, y],
        text: inLines(title, type.title, roomMm)[0],
        sizeMm: type.title,
        align: 'left',
        strong: true,
      });
    y -= type.title * 0.6;
  };
  const begin = () => {
    strokes = [];
    words = [];
    pages.push({ kind: 'bench', title, widthMm, heightMm, strokes, words });
    y = heightMm - MARGIN;
    heading();
  };
  begin();
  const fits = (mm: number) => dry || y - mm >= MARGIN;
  /** Begins another page where there is less room than that. */
  const keep = (mm: number) => {
    if (!fits(mm)) begin();
  };
  const write = (text: string, sizeMm: number, { strong = false, indent = 0 } = {}) => {
    for (const line of inLines(text, sizeMm, roomMm - indent)) {
      keep(sizeMm * LEADING);
      y -= sizeMm * LEADING;
      if (!dry) words.push({ at: [MARGIN + indent, y], text: line, sizeMm, align: 'left', strong });
    }
  };
  /** A box to tick at the left of the next line. */
  const box = (indent = 0, sizeMm = type.body) => {
    if (dry) return;
    const [x, top] = [MARGIN + indent, y - sizeMm * LEADING + sizeMm * 0.85];
    strokes.push({
      pen: 'cut',
      closed: true,
      points: [
        [x, top],
        [x + type.box, top],
        [x + type.box, top - type.box],
        [x, top - type.box],
      ],
    });
  };
  const draw = ({ strokes: lines, words: names, heightMm: tall }: SmallDrawing, leftMm: number) => {
    if (dry) return;
    const [dx, dy] = [MARGIN + leftMm, y - tall];
    for (const line of lines) strokes.push({ ...line, points: line.points.map(([px, py]) => [px + dx, py + dy]) });
    for (const name of names) words.push({ ...name, at: [name.at[0] + dx, name.at[1] + dy] });
  };
  return {
    type,
    roomMm,
    pages,
    fits,
    keep,
    write,
    box,
    draw,
    down: (mm: number) => {
      y -= mm;
    },
    /** How tall it is what `run` writes. */
    tall: (run: () => void): number => {
      const before = y;
      const within = dry;
      dry = true;
      run();
      dry = within;
      const mm = before - y;
      y = before;
      return mm;
    },
    /** Another part under a heading of its own: on this page below a line, or on the next where `neededMm` of it do not fit. */
    part: (next: string, neededMm: number) => {
      title = next;
      const page = pages[pages.length - 1];
      if (!fits(neededMm + 2.6 * type.title)) return begin();
      y -= type.title * 0.7;
      strokes.push({
        pen: 'mark',
        closed: false,
        points: [
          [MARGIN, y],
          [widthMm - MARGIN, y],
        ],
      });
      y -= type.title * 0.3;
      page.title = `${page.title}; ${next}`;
      heading();
    },
  };
}

/** All of it on one page: what it comes to, and every step in its order with its day, to be ticked. */
function summaryPage(sheet: BenchSheet, on: Writer): Page[] {
  const { type, roomMm } = on;
  const drawn = type.drawn * 1.3;
  const plan = smallPlan(sheet, new Set(), roomMm * 0.38, drawn);
  const section = smallSection(sheet, new Set(), roomMm * 0.56, drawn);
  on.down(2);
  on.draw(plan, 0);
  on.draw(section, roomMm - section.widthMm);
  on.down(Math.max(plan.heightMm, section.heightMm) + 3);
  for (const line of sheet.summary) on.write(line, type.body);
  const steps = sheet.stages.flatMap((stage) => stage.steps);
  const all = (size: number) => () => {
    for (const { title, when, done } of steps) {
      on.keep(size * (LEADING + 0.25));
      on.down(size * 0.25);
      on.box(0, size);
      on.write(`${when ? `${when}: ` : ''}${title}${done ? ' (done)' : ''}`, size, { indent: type.box + 3 });
    }
  };
  on.down(2);
  // Smaller where there are many, so that it stays one page; never so small that it cannot be read.
  const size = [type.body, type.small, 3, 2.6].find((mm) => on.fits(on.tall(all(mm)))) ?? 2.6;
  all(size)();
  return on.pages;
}

function stagePages(sheet: BenchSheet, on: Writer): Page[] {
  const { type, roomMm } = on;
  sheet.stages.forEach((stage, k) => {
    const zones = new Set(stage.steps.flatMap((step) => step.zones));
    const plan = smallPlan(sheet, zones, roomMm * 0.38, type.drawn);
    const section = smallSection(sheet, zones, roomMm * 0.56, type.drawn);
    const drawnMm = Math.max(plan.heightMm, section.heightMm) + 4;
    const [first] = stage.steps;
    if (k > 0) on.part(stage.title, drawnMm + on.tall(() => first && writeStep(on, first)));
    on.down(1);
    on.draw(plan, 0);
    on.draw(section, roomMm - section.widthMm);
    on.down(drawnMm - 1);
    for (const step of stage.steps) writeStep(on, step);
  });
  on.down(2);
  on.write(sheet.deferral, type.small);
  return on.pages;
}

function writeStep(on: Writer, step: SheetStep): void {
  const mm = on.tall(() => stepLines(on, step));
  const { step: head, body } = on.type;
  // What is longer than half a page may run on to the next.
  on.keep(Math.min(mm, Math.max(90, 3 * (head + body))));
  stepLines(on, step);
}

function stepLines(on: Writer, step: SheetStep): void {
  const { step: STEP, body: BODY, small: SMALL, box: BOX } = on.type;
  on.keep(STEP * LEADING + 2 * BODY * LEADING);
  on.down(2.4);
  on.box(0, STEP);
  on.write(`${step.title}${step.done ? ' (done)' : ''}`, STEP, { strong: true, indent: BOX + 3 });
  const indent = BOX + 3;
  for (const text of [step.when, step.where]) if (text) on.write(text, SMALL, { indent });
  for (const amount of step.amounts) on.write(amount, BODY, { indent });
  if (step.batches) on.write(step.batches, BODY, { indent, strong: true });
  if (step.tools) on.write(`Tools: ${step.tools}`, BODY, { indent });
  if (step.waits) on.write(`Waits: ${step.waits}`, BODY, { indent });
  if (step.note) on.write(step.note, SMALL, { indent });
  for (const caution of step.cautions) on.write(`! ${caution}`, SMALL, { indent });
  if (step.ticks.length > 1)
    for (const tick of step.ticks) {
      on.keep(BOX + 2);
      on.down(0.8);
      on.box(indent, BODY);
      on.write(tick, BODY, { indent: indent + BOX + 2 });
    }
}

function shoppingPages(sheet: BenchSheet, on: Writer): Page[] {
  const { step: STEP, body: BODY, small: SMALL, box: BOX } = on.type;
  on.write(sheet.shoppingNote, SMALL);
  const indent = BOX + 3;
  const line = ({ name, needed, stocked, buy, cost, supplier }: SheetPurchase) => {
    on.keep(STEP * LEADING + 2 * BODY * LEADING);
    on.down(2.5);
    on.box(0, STEP);
    on.write(`${buy}  ${name}`, STEP, { strong: true, indent });
    on.write(
      [`needed ${needed}`, stocked && `in the cupboard ${stocked}`, cost, supplier].filter(Boolean).join('; '),
      BODY,
      { indent },
    );
  };
  const buying = sheet.shopping.filter(({ there }) => !there);
  if (!buying.length) on.write('Everything is in the cupboard.', STEP, { strong: true });
  for (const purchase of buying) line(purchase);
  const there = sheet.shopping.filter((purchase) => purchase.there);
  if (there.length) {
    on.down(4);
    on.write('In the cupboard already', STEP, { strong: true });
    for (const { name, needed, stocked } of there)
      on.write(`${name}: needed ${needed}, there ${stocked}`, BODY, { indent });
  }
  on.down(3);
  on.write('From the kitchen: water, a drop of washing-up liquid, kitchen paper.', SMALL);
  return on.pages;
}
