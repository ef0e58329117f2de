import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { daylight } from './daylight.ts';

it('drawings have the colours of the light theme', () => {
  const css = readFileSync(`${import.meta.dirname}/../styles.css`, 'utf8');
  // The light theme stands first.
  for (const name of ['sheet', 'graphite', 'clay', 'water', 'moss', 'plum'] as const)
    expect(new RegExp(`--${name}: (#\\w+)`).exec(css)?.[1], name).toBe(daylight[name]);
});
