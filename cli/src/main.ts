#!/usr/bin/env node
import { run } from './run.ts';

process.stdout.on('error', () => process.exit(0));
const { exit } = await run(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
process.exitCode = exit;
