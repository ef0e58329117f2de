import { existsSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const core = new URL('../core/src/', import.meta.url);
const [, table] = readFileSync(new URL('../docs/methods.md', import.meta.url), 'utf8').split(
  '## Where each figure is worked out',
);

/** Rows of the table: figure, functions, files. */
const rows = table
  .split('\n## ')[0]
  .split('\n')
  .filter((line) => /^\|.*`/.test(line))
  .map((line) => line.split('|').map((cell) => cell.trim()))
  .map(([, figure, functions, files]) => ({
    figure,
    functions: [...functions.matchAll(/`(\w+)`/g)].map(([, name]) => name),
    files: [...files.matchAll(/`([\w./]+)`/g)].map(([, file]) => file),
  }));

const declares = (file, name) =>
  new RegExp(`^export (async )?(function\\*?|const) ${name}\\b`, 'm').test(readFileSync(new URL(file, core), 'utf8'));

describe('the functions that docs/methods.md names', () => {
  it('are many: a figure that is not found would else go unseen', () => expect(rows.length).toBeGreaterThan(50));

  it.each(rows)('$figure', ({ functions, files }) => {
    for (const file of files) expect(existsSync(new URL(file, core)), file).toBe(true);
    for (const name of functions)
      expect(
        files.some((file) => declares(file, name)),
        name,
      ).toBe(true);
    // A file that is named for nothing was left behind when its function went elsewhere.
    for (const file of files)
      expect(
        functions.some((name) => declares(file, name)),
        file,
      ).toBe(true);
  });
});
