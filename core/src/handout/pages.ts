import type { Paper } from '../project/index.ts';
import { inLines, type Page, paperSize, type Stroke, type Words } from '../templates/index.ts';
import { type SmallDrawing, smallPlan, smallSection } from './drawings.ts';
import type { BenchSheet, SheetPurchase, SheetStage, SheetStep } from './sheet.ts';

/** Sizes of type, mm: to be read at arm's length with paste on the hands (the body is 15 points). */
const TITLE = 8;
const STEP = 6;
const BODY = 5.2;
const SMALL = 4.4;
const LEADING = 1.35;
const BOX = 5;
const DRAWN_TALL = 45;
const MARGIN = 12;

/** Pages of a bench sheet: a stage begins a page, with where it is; then the shopping list. */
export function benchPages(sheet: BenchSheet, paper: Paper): Page[] {
  const { widthMm, heightMm } = paperSize(paper);
  const room = { widthMm: widthMm - 2 * MARGIN, heightMm };
  const pages = [
    ...sheet.stages.flatMap((stage) => stagePages(sheet, stage, widthMm, room.widthMm, heightMm)),
    ...shoppingPages(sheet, widthMm, room.widthMm, heightMm),
  ];
  return pages.map((page, k) => ({
    ...page,
    words: [
      ...page.words,
      {
        at: [MARGIN, 7] as const,
        text: inLines(
          `${sheet.project}, ${sheet.base}; page ${k + 1} of ${pages.length}`,
          SMALL - 0.6,
          room.widthMm,
        )[0],
        sizeMm: SMALL - 0.6,
        align: 'left' as const,
        strong: false,
      },
    ],
  }));
}

/** A page that is filled from the top; what does not fit begins another. */
function writer(kind: Page['kind'], title: string, widthMm: number, roomMm: number, heightMm: number) {
  const pages: Page[] = [];
  let y = 0;
  let strokes: Stroke[] = [];
  let words: Words[] = [];
  const begin = () => {
    strokes = [];
    words = [];
    pages.push({ kind, title, widthMm, heightMm, strokes, words });
    y = heightMm - MARGIN - TITLE;
    words.push({ at: [MARGIN, y], text: inLines(title, TITLE, roomMm)[0], sizeMm: TITLE, align: 'left', strong: true });
    y -= TITLE * 0.9;
  };
  begin();
  /** Begins another page where there is less room than that. */
  const keep = (mm: number) => {
    if (y - mm < MARGIN) begin();
  };
  const write = (text: string, sizeMm: number, { strong = false, indent = 0 } = {}) => {
    for (const line of inLines(text, sizeMm, roomMm - indent)) {
      keep(sizeMm * LEADING);
      y -= sizeMm * LEADING;
      words.push({ at: [MARGIN + indent, y], text: line, sizeMm, align: 'left', strong });
    }
  };
  /** A box to tick at the left of the next line. */
  const box = (indent = 0, sizeMm = BODY) => {
    const [x, top] = [MARGIN + indent, y - sizeMm * LEADING + sizeMm * 0.85];
    strokes.push({
      pen: 'cut',
      closed: true,
      points: [
        [x, top],
        [x + BOX, top],
        [x + BOX, top - BOX],
        [x, top - BOX],
      ],
    });
  };
  const draw = ({ strokes: lines, words: names, heightMm: tall }: SmallDrawing, leftMm: number) => {
    const [dx, dy] = [MARGIN + leftMm, y - tall];
    for (const line of lines) strokes.push({ ...line, points: line.points.map(([px, py]) => [px + dx, py + dy]) });
    for (const name of names) words.push({ ...name, at: [name.at[0] + dx, name.at[1] + dy] });
  };
  return {
    pages,
    keep,
    write,
    box,
    draw,
    down: (mm: number) => {
      y -= mm;
    },
  };
}

function stagePages(sheet: BenchSheet, stage: SheetStage, widthMm: number, roomMm: number, heightMm: number): Page[] {
  const on = writer('bench', stage.title, widthMm, roomMm, heightMm);
  const zones = new Set(stage.steps.flatMap((step) => step.zones));
  const plan = smallPlan(sheet, zones, roomMm * 0.38, DRAWN_TALL);
  const section = smallSection(sheet, zones, roomMm * 0.56, DRAWN_TALL);
  on.down(2);
  on.draw(plan, 0);
  on.draw(section, roomMm - section.widthMm);
  on.down(Math.max(plan.heightMm, section.heightMm) + 3);
  for (const step of stage.steps) writeStep(on, step);
  on.down(2);
  on.write(sheet.deferral, SMALL);
  return on.pages;
}

function writeStep(on: ReturnType<typeof writer>, step: SheetStep): void {
  on.keep(STEP * LEADING + 3 * BODY * LEADING);
  on.down(3);
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

function shoppingPages(sheet: BenchSheet, widthMm: number, roomMm: number, heightMm: number): Page[] {
  const on = writer('bench', 'Shopping list', widthMm, roomMm, heightMm);
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
