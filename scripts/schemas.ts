import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { schemaFiles } from '../core/src/testing/schemaFiles.ts';

/** Writes the JSON Schemas of the project file and of the plan into docs/. */
for (const { file, text } of schemaFiles()) {
  writeFileSync(fileURLToPath(new URL(`../docs/${file}`, import.meta.url)), text);
  console.log(`docs/${file}`);
}
