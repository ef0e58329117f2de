export { inLines, type Page, type Pen, pens, type Stroke, type Words } from './page.ts';
export { BAR_MM, paperSize, paperSizes } from './paper.ts';
export { roomiest } from './pieceDrawings.ts';
export type { TemplateSource } from './source.ts';
export { type TemplateKind, templateKinds, templatePages } from './templates.ts';
