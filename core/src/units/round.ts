/** To the nearest tenth: what is drawn and typed in mm is kept no finer. */
export const tenth = (value: number): number => Math.round(value * 10) / 10;
