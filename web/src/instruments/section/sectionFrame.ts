/** Where a section is drawn: its ways from mm to points of the drawing, and its scales. */
export interface SectionFrame {
  across: (alongMm: number) => number;
  up: (heightMm: number) => number;
  pxPerMm: number;
  pxPerMmUp: number;
}
