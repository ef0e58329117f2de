/** One parameter of an item, as it is asked for. */
export interface ItemField {
  key: string;
  label: string;
  measure: 'height' | 'length' | 'slope' | 'percent' | 'count' | 'plain' | 'choice';
  least: number;
  most: number;
  /** What an empty field means, where it may be empty. */
  empty?: string;
  options?: readonly string[];
}

export const field = (
  key: string,
  label: string,
  measure: ItemField['measure'],
  least: number,
  most: number,
): ItemField => ({
  key,
  label,
  measure,
  least,
  most,
});
export const height = (key: string, label: string) => field(key, label, 'height', 0, 2000);
export const landOr = (key: string, label: string): ItemField => ({ ...height(key, label), empty: 'as the land lies' });
export const length = (key: string, label: string, least = 0.5) => field(key, label, 'length', least, 2000);
export const slope = (key: string, label: string) => field(key, label, 'slope', 1, 90);
export const choice = (key: string, label: string, options: readonly string[]): ItemField => ({
  ...field(key, label, 'choice', 0, 0),
  options,
});
export const ends = [landOr('fromMm', 'Height at its start'), landOr('toMm', 'Height at its end')];
export const waterLevel = height('waterMm', 'Water level');
export const margin: ItemField = { ...length('marginMm', 'Room kept round it', 0), most: 500 };
export const laidFields = [
  length('heightMm', 'Height'),
  length('beddedMm', 'Bedded by', 0),
  margin,
  { ...field('densityKgL', 'Density, kg/L', 'plain', 0.01, 20), empty: 'usual' },
];

/** One kind of thing that can be drawn: its name at the bench, how it is drawn, and its parameters. */
export interface KindWords {
  title: string;
  drawn: 'outline' | 'line' | 'point';
  /** What it is for, in one sentence. */
  about: string;
  fields: readonly ItemField[];
}
