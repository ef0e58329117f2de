import { type Askable, askables, type Between, type ZoneRule } from '@hosket/core';

export const askableWords: Readonly<Record<Askable, { name: string; unit: string }>> = {
  slope: { name: 'slope', unit: '°' },
  height: { name: 'height', unit: 'mm' },
  water: { name: 'from water', unit: 'mm' },
  wall: { name: 'from a wall', unit: 'mm' },
  rock: { name: 'from rock', unit: 'mm' },
  way: { name: 'from a way', unit: 'mm' },
  wetness: { name: 'wetness', unit: '' },
  shade: { name: 'in shade', unit: '%' },
  edge: { name: 'from the edge', unit: 'mm' },
};

/** "slope over 45°, up to 12 mm from water". */
export function whenWords(when: ZoneRule['when'], mm: (value: number) => string): string {
  const words = askables.flatMap((what) => {
    const limits = when[what];
    return limits ? [one(what, limits, mm)] : [];
  });
  return words.join(', ') || 'everywhere';
}

function one(what: Askable, { from, to }: Between, mm: (value: number) => string): string {
  const { name, unit } = askableWords[what];
  const say = (value: number) => (unit === 'mm' ? mm(value) : `${value}${unit && unit !== '°' ? ' ' : ''}${unit}`);
  const range =
    from !== null && to !== null
      ? `${say(from)} to ${say(to)}`
      : to !== null
        ? `up to ${say(to)}`
        : from !== null
          ? `over ${say(from)}`
          : 'any';
  return name.startsWith('from') || name === 'in shade' ? `${range} ${name}` : `${name} ${range}`;
}
