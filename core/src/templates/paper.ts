import type { Paper } from '../project/index.ts';

/** Sheets of paper, mm (ISO 216 for the A sizes; Letter is 8.5 x 11 inches). */
export const paperSizes = {
  A4: { widthMm: 210, heightMm: 297 },
  A3: { widthMm: 297, heightMm: 420 },
  Letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;

export const paperSize = ({ size, widthMm, heightMm }: Paper): { widthMm: number; heightMm: number } =>
  size === 'own' ? { widthMm, heightMm } : paperSizes[size];

/** What everything is drawn larger by, so that it prints at its size: by the bar of 100 mm as it was measured. */
export const printFactor = ({ barMm }: Paper): number => BAR_MM / barMm;

export const BAR_MM = 100;
