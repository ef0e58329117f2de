import { plainNumber } from './locale.ts';
import { readNumber } from './readNumber.ts';
import { bad, good, type Result } from './result.ts';

/** A named scale with the standard that fixes it. Real size / model size = ratio. */
export interface NamedScale {
  name: string;
  ratio: number;
  standard: string;
}

/** From memory, unverified: NEM 010 (Z, N, TT, H0, S, 0, I, II, III, V) and NMRA S-1.2; the rest are customs of the trade. */
export const namedScales: readonly NamedScale[] = [
  { name: 'Z', ratio: 220, standard: 'NEM 010' },
  { name: 'N', ratio: 160, standard: 'NEM 010' },
  { name: 'TT', ratio: 120, standard: 'NEM 010' },
  { name: 'H0', ratio: 87, standard: 'NEM 010' },
  { name: 'HO', ratio: 87.1, standard: 'NMRA S-1.2' },
  { name: 'OO', ratio: 76.2, standard: '4 mm to the foot' },
  { name: 'S', ratio: 64, standard: 'NEM 010' },
  { name: 'O', ratio: 48, standard: 'NMRA S-1.2' },
  { name: '0', ratio: 45, standard: 'NEM 010' },
  { name: 'I', ratio: 32, standard: 'NEM 010' },
  { name: 'II', ratio: 22.5, standard: 'NEM 010' },
  { name: 'III', ratio: 16, standard: 'NEM 010' },
  { name: 'V', ratio: 11, standard: 'NEM 010' },
  { name: '28 mm figures', ratio: 56, standard: 'trade custom' },
];

/** Reads `1:87`, `1/35`, `87` or a scale's name. Gives the ratio, at least 1. */
export function parseScale(text: string): Result<number> {
  const clean = text.trim();
  const named =
    namedScales.find((scale) => scale.name === clean) ??
    namedScales.find((scale) => scale.name.toLowerCase() === clean.toLowerCase() && Number.isNaN(Number(clean)));
  if (named) return good(named.ratio);
  const match = /^(?:1\s*[:/]\s*)?(\d+(?:[.,]\d+)?)$/.exec(clean);
  const ratio = readNumber(match?.[1] ?? '');
  if (!match || !(ratio >= 1) || ratio > 1e6)
    return bad('scale', clean || '(empty)', 'This is not a scale.', 'Write it like 1:87, or by a name such as H0.');
  return good(ratio);
}

export const formatScale = (ratio: number | null): string =>
  ratio === null ? 'no scale' : `1:${plainNumber(Number(ratio.toFixed(2)))}`;

/** Model length in mm of a real length in mm. */
export const toModelMm = (realMm: number, ratio: number): number => realMm / ratio;

/** Real length in mm of a model length in mm. */
export const toRealMm = (modelMm: number, ratio: number): number => modelMm * ratio;

/** Things whose real size everybody knows, mm (common practice, no source). */
export const familiarSizes: readonly { name: string; realMm: number }[] = [
  { name: 'a ripple on a pond', realMm: 50 },
  { name: 'a step of a stair', realMm: 170 },
  { name: 'a blade of grass', realMm: 300 },
  { name: 'a person', realMm: 1750 },
  { name: 'a door', realMm: 2000 },
  { name: 'a lane', realMm: 3500 },
  { name: 'a tree', realMm: 10000 },
];

/** The scale at which a real length is drawn as long as on the model; null where either is nothing. */
export const scaleOf = (realMm: number, modelMm: number): number | null =>
  realMm > 0 && modelMm > 0 ? realMm / modelMm : null;

/** A real length in the unit it is spoken of in: `0.6 mm`, `45 cm`, `2.4 m`, `1.2 km`; three figures. */
export function sayReal(realMm: number): string {
  const digits = (value: number) => plainNumber(Number(value.toPrecision(3)));
  if (realMm < 10) return `${digits(realMm)} mm`;
  if (realMm < 1000) return `${digits(realMm / 10)} cm`;
  return realMm < 1e6 ? `${digits(realMm / 1000)} m` : `${digits(realMm / 1e6)} km`;
}
