#!/usr/bin/env node
import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import {
  benchPages,
  benchSheet,
  type Fault,
  itemsOf,
  type Plan,
  type Project,
  plan,
  planReportSchema,
  type Result,
  readProject,
  sayBuy,
  templateKinds,
  templatePages,
  templateSource,
  type UnitSystem,
  wholeList,
  withLayout,
  writeProject,
} from '@hosket/core';
import { writeShoppingCsv } from '@hosket/formats';
import { writePdf } from '@hosket/formats/pdf';
import { planText, sayFinding } from './planText.ts';

/** 0 all is well; 1 something in the plan stops the work; 2 wrong use; 3 the file cannot be read; 4 the file is not a valid project. */
const code = { ok: 0, stopped: 1, usage: 2, unreadable: 3, invalid: 4 } as const;

const usage = `hosket: plans the groundwork of dioramas and gaming boards

  hosket plan FILE [--json] [--imperial]   heights, stack, amounts, waits and finish of a project
  hosket check FILE                        whether a project file is sound, and what stands against the plan
  hosket nest FILE --out FILE [--tries N]  lays the pieces on the sheets again, so many tries for each kind (2000), and writes the project
  hosket templates FILE --out FILE         the templates as a PDF at full size
  hosket sheet FILE --out FILE             the bench sheet of the open tile and the shopping list of its set as a PDF
  hosket shopping FILE [--semicolons]      the shopping list of all tiles as CSV, with semicolons and decimal commas where they are wanted

Exit codes: 0 well, 1 something stops the work, 2 wrong use, 3 file cannot be read, 4 not a valid project.
`;

/** Tries for each kind of sheet, unless told otherwise. */
const USUAL_TRIES = 2000;

function fail(exit: number, text: string): never {
  process.stderr.write(`${text}\n`);
  process.exit(exit);
}

const faultText = (file: string, { place, message, remedy }: Fault) =>
  `hosket: ${file}: ${place}: ${message}\n  ${remedy}`;

function load(file: string): Project {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    const { code: why } = error as NodeJS.ErrnoException;
    const reason = why === 'ENOENT' ? 'there is no such file' : why === 'EISDIR' ? 'that is a folder' : String(why);
    fail(code.unreadable, `hosket: ${file}: ${reason}\n  Give the path of a *.hosket.json file.`);
  }
  const read: Result<Project> = readProject(text);
  if (!read.ok) fail(code.invalid, faultText(file, read.fault));
  return read.value;
}

/** Writes a file whole, or says why not. */
function store(file: string, body: string | Uint8Array): void {
  try {
    writeFileSync(file, body);
  } catch (error) {
    fail(code.unreadable, `hosket: ${file}: ${(error as Error).message}\n  Give a path that can be written.`);
  }
  process.stdout.write(`${file}: written\n`);
}

const face = (weight: number): Uint8Array =>
  readFileSync(
    new URL(
      `../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-${weight}-normal.woff`,
      import.meta.url,
    ),
  );

async function templates(project: Project, { report, ground }: Plan): Promise<Uint8Array> {
  const source = templateSource(project, report, ground.grid, ground.outline);
  const pages = templatePages(project, source, templateKinds);
  return writePdf(pages, `${project.name}: templates`, { plain: face(400), strong: face(600) });
}

async function onPaper(project: Project, { report, ground, zones }: Plan, system: UnitSystem): Promise<Uint8Array> {
  const sheet = benchSheet(
    project,
    report,
    { ground: ground.grid, outline: ground.outline, zones },
    system,
    wholeList(project, report),
  );
  const pages = benchPages(sheet, project.paper);
  return writePdf(pages, `${project.name}: bench sheet`, { plain: face(400), strong: face(600) });
}

async function main(): Promise<number> {
  let parsed: ReturnType<typeof parseWords>;
  try {
    parsed = parseWords();
  } catch (error) {
    fail(code.usage, `hosket: ${(error as Error).message}\n\n${usage}`);
  }
  const { values, positionals } = parsed;
  if (values.help || !positionals.length) {
    process.stdout.write(usage);
    return values.help ? code.ok : code.usage;
  }
  const [command, file, ...rest] = positionals;
  if (!['plan', 'check', 'nest', 'templates', 'sheet', 'shopping'].includes(command))
    fail(code.usage, `hosket: "${command}" is not a command\n\n${usage}`);
  if (!file || rest.length) fail(code.usage, `hosket: ${command} takes one file\n\n${usage}`);
  const tries = Number(values.tries ?? USUAL_TRIES);
  if (!Number.isInteger(tries) || tries < 1)
    fail(code.usage, `hosket: --tries takes a whole number from 1\n\n${usage}`);
  if (['nest', 'templates', 'sheet'].includes(command) && !values.out)
    fail(code.usage, `hosket: ${command} needs --out and the file to write\n\n${usage}`);
  const project = load(file);
  const planned = plan(project);
  const { report } = planned;
  const stopped = report.findings.some((finding) => finding.severity === 'stop' && !finding.overruled);
  const system = values.imperial ? 'imperial' : 'metric';
  if (command === 'check') {
    process.stdout.write(
      `${file}: a sound project, ${itemsOf(project).length} drawn, ${project.sheets.length} kinds of sheet\n`,
    );
    for (const finding of report.findings) process.stdout.write(`${sayFinding(finding)}\n`);
  } else if (command === 'nest')
    store(values.out as string, writeProject(withLayout(project, planned.cutting, tries, project.cutting.search.seed)));
  else if (command === 'templates') store(values.out as string, await templates(project, planned));
  else if (command === 'sheet') store(values.out as string, await onPaper(project, planned, system));
  else if (command === 'shopping')
    process.stdout.write(
      writeShoppingCsv(wholeList(project, report), (line) => sayBuy(line, system), values.semicolons),
    );
  else if (values.json) process.stdout.write(`${JSON.stringify(planReportSchema.parse(report), null, 1)}\n`);
  else process.stdout.write(planText(project, report, system));
  return stopped ? code.stopped : code.ok;
}

function parseWords() {
  return parseArgs({
    allowPositionals: true,
    options: {
      json: { type: 'boolean' },
      imperial: { type: 'boolean' },
      semicolons: { type: 'boolean' },
      out: { type: 'string' },
      tries: { type: 'string' },
      help: { type: 'boolean', short: 'h' },
    },
  });
}

process.stdout.on('error', () => process.exit(0));
process.exitCode = await main();
