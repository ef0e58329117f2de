import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';

/** What ships: everything in the lockfile that is not needed for development alone, each with its licence, by name. */
export function shipped() {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  const found = new Map();
  for (const [path, { dev, link, version, license }] of Object.entries(packages)) {
    const name = path.split('node_modules/').pop();
    if (!path.includes('node_modules/') || dev || link) continue;
    found.set(`${name} ${version}`, { name, version, licence: license ?? licenceOf(path) });
  }
  return [...found.values()].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
}

function licenceOf(path) {
  const manifest = join(root, path, 'package.json');
  const { license } = existsSync(manifest) ? JSON.parse(readFileSync(manifest, 'utf8')) : {};
  return typeof license === 'string' ? license : (license?.type ?? 'not stated');
}

export const asMarkdown = (list) =>
  [
    '# Licences of what ships',
    '',
    'Written by `npm run licences` from the lockfile. Hosket itself is under the MIT licence.',
    '',
    '| Package | Version | Licence |',
    '| --- | --- | --- |',
    ...list.map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`),
    '',
  ].join('\n');

export const asData = (list) =>
  `${JSON.stringify(list.map(({ name, version, licence }) => [name, version, licence]))}\n`;

export const places = { markdown: join(root, 'docs/licences.md'), data: join(root, 'web/src/app/licences.json') };

if (process.argv[1]?.endsWith('licences.mjs')) {
  const list = shipped();
  writeFileSync(places.markdown, asMarkdown(list));
  writeFileSync(places.data, asData(list));
  console.log(`${list.length} packages`);
}
