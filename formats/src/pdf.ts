import fontkit from '@cantoo/fontkit';
import { degrees, LineCapStyle, PDFDocument, type PDFFont, type PDFPage, rgb } from '@cantoo/pdf-lib';
import type { Page, Pen, Stroke, Words } from '@hosket/core';
import { printable } from './printable.ts';

/** One typographic point is 1/72 inch of 25.4 mm (ISO 32000-1, 8.3.2.3). */
export const POINTS_PER_MM = 72 / 25.4;

/** How a pen looks on paper: black and white printers must do, so lines differ in width and dashes, not in colour alone. Widths and dashes in mm. */
const looks: Record<Pen, { widthMm: number; dashMm?: readonly number[]; grey?: number }> = {
  cut: { widthMm: 0.4 },
  hole: { widthMm: 0.4 },
  seam: { widthMm: 0.7, dashMm: [4, 1, 1, 1] },
  next: { widthMm: 0.3, dashMm: [3, 2] },
  below: { widthMm: 0.15, grey: 0.35 },
  pin: { widthMm: 0.2, dashMm: [0.8, 0.6] },
  void: { widthMm: 0.3, dashMm: [1, 1] },
  outline: { widthMm: 0.3, grey: 0.2 },
  contour: { widthMm: 0.2, grey: 0.2 },
  ground: { widthMm: 0.4 },
  joint: { widthMm: 0.15, grey: 0.4 },
  mark: { widthMm: 0.2 },
  page: { widthMm: 0.12, dashMm: [1, 1.5], grey: 0.4 },
};

/** The faces that words are set in: bytes of a .woff, .ttf or .otf file. */
export interface PdfFonts {
  plain: ArrayBuffer | Uint8Array;
  strong: ArrayBuffer | Uint8Array;
}

/** Pages as a PDF at full size; the same pages always give the same file. */
export async function writePdf(pages: readonly Page[], title: string, fonts: PdfFonts): Promise<Uint8Array> {
  const file = await PDFDocument.create();
  file.registerFontkit(fontkit);
  file.setTitle(printable(title));
  file.setCreator('Hosket');
  file.setProducer('Hosket');
  // No clock: a template says what it is of, not when it was printed.
  file.setCreationDate(new Date(0));
  file.setModificationDate(new Date(0));
  const plain = await file.embedFont(fonts.plain, { subset: true });
  const strong = await file.embedFont(fonts.strong, { subset: true });
  for (const { widthMm, heightMm, strokes, words } of pages) {
    const page = file.addPage([widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM]);
    for (const stroke of strokes) drawStroke(page, stroke);
    for (const word of words) drawWords(page, word, word.strong ? strong : plain);
  }
  return file.save();
}

const pt = (mm: number): number => Math.round(mm * POINTS_PER_MM * 1000) / 1000;

function drawStroke(page: PDFPage, { pen, points, closed }: Stroke): void {
  const { widthMm, dashMm, grey = 0 } = looks[pen];
  // Paths are given with y down from where they are set.
  const path = points.map(([x, y], k) => `${k ? 'L' : 'M'} ${pt(x)} ${-pt(y)}`).join(' ') + (closed ? ' Z' : '');
  page.drawSvgPath(path, {
    x: 0,
    y: 0,
    borderColor: rgb(grey, grey, grey),
    borderWidth: pt(widthMm),
    borderLineCap: LineCapStyle.Butt,
    ...(dashMm && { borderDashArray: dashMm.map(pt) }),
  });
}

function drawWords(page: PDFPage, { at: [x, y], text, sizeMm, align, turn = 0 }: Words, font: PDFFont): void {
  const size = pt(sizeMm);
  const known = setOf(font);
  const shown = [...printable(text)].map((sign) => (known.has(sign.codePointAt(0) ?? 0) ? sign : '?')).join('');
  const back = align === 'middle' ? font.widthOfTextAtSize(shown, size) / 2 : 0;
  page.drawText(shown, { x: pt(x) - back, y: pt(y), size, font, rotate: degrees(turn) });
}

const known = new WeakMap<PDFFont, Set<number>>();
/** What a face has a shape for: builders name their sheets as they like. */
function setOf(font: PDFFont): Set<number> {
  const found = known.get(font) ?? new Set(font.getCharacterSet());
  known.set(font, found);
  return found;
}
