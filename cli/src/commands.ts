import { readFileSync, writeFileSync } from 'node:fs';
import {
  benchPages,
  benchSheet,
  type Fault,
  itemsOf,
  type Plan,
  type Project,
  plan,
  planWithMoves,
  type Result,
  readProject,
  sayBuy,
  templateKinds,
  templatePages,
  templateSource,
  type UnitSystem,
  wholeList,
  withLayout,
  writePlan,
  writeProject,
} from '@hosket/core';
import { code, fail, type Output } from './exit.ts';
import { planText, sayFinding } from './planText.ts';
import { stagesText } from './stagesText.ts';

export interface Wanted {
  command: 'plan' | 'check' | 'nest' | 'templates' | 'sheet' | 'shopping' | 'stages';
  file: string;
  /** What the file holds. */
  text: string;
  /** Where to write what a command makes; it is given where one does. */
  out: string;
  tries: number;
  json: boolean;
  imperial: boolean;
  semicolons: boolean;
  large: boolean;
}

const faultText = (file: string, { place, message, remedy }: Fault) =>
  `hosket: ${file}: ${place}: ${message}\n  ${remedy}`;

function projectOf(file: string, text: string): Project {
  const read: Result<Project> = readProject(text);
  if (!read.ok) fail(code.invalid, faultText(file, read.fault));
  return read.value;
}

/** Writes a file whole, or says why not. */
function store(file: string, body: string | Uint8Array, { out }: Output): void {
  try {
    writeFileSync(file, body);
  } catch (error) {
    fail(code.unreadable, `hosket: ${file}: ${(error as Error).message}\n  Give a path that can be written.`);
  }
  out(`${file}: written\n`);
}

const face = (weight: number): Uint8Array =>
  readFileSync(
    new URL(
      `../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-${weight}-normal.woff`,
      import.meta.url,
    ),
  );

/** What other formats need is brought in by the commands that write them: `plan` and `check` start without. */
const paper = () => import('@hosket/formats/pdf');

async function templates(project: Project, { report, ground }: Plan): Promise<Uint8Array> {
  const source = templateSource(project, report, ground.grid, ground.outline);
  const pages = templatePages(project, source, templateKinds);
  const { writePdf } = await paper();
  return writePdf(pages, `${project.name}: templates`, { plain: face(400), strong: face(600) });
}

async function onPaper(
  project: Project,
  { report, ground, zones }: Plan,
  system: UnitSystem,
  largeType: boolean,
): Promise<Uint8Array> {
  const sheet = benchSheet(
    project,
    report,
    { ground: ground.grid, outline: ground.outline, zones },
    system,
    wholeList(project, report),
  );
  const pages = benchPages(sheet, project.paper, { largeType });
  const { writePdf } = await paper();
  return writePdf(pages, `${project.name}: bench sheet`, { plain: face(400), strong: face(600) });
}

/** Carries out a command on what its file holds, and gives the code to end with. */
export async function carryOut(
  { command, file, text, out, tries, json, imperial, semicolons, large }: Wanted,
  output: Output,
): Promise<number> {
  const project = projectOf(file, text);
  if (command === 'stages') {
    output.out(stagesText(project, () => performance.now()));
    return code.ok;
  }
  const planned = command === 'plan' ? planWithMoves(project) : plan(project);
  const { report } = planned;
  const stopped = report.findings.some((finding) => finding.severity === 'stop' && !finding.overruled);
  const system = imperial ? 'imperial' : 'metric';
  if (command === 'check') {
    output.out(`${file}: a sound project, ${itemsOf(project).length} drawn, ${project.sheets.length} kinds of sheet\n`);
    for (const finding of report.findings) output.out(`${sayFinding(finding, system)}\n`);
  } else if (command === 'nest')
    store(out, writeProject(withLayout(project, planned.cutting, tries, project.cutting.search.seed)), output);
  else if (command === 'templates') store(out, await templates(project, planned), output);
  else if (command === 'sheet') store(out, await onPaper(project, planned, system, large), output);
  else if (command === 'shopping') {
    const { writeShoppingCsv } = await import('@hosket/formats');
    const list = wholeList(project, report);
    const packs = list.shopping.map((line) => sayBuy(line, system));
    output.out(writeShoppingCsv(list, packs, semicolons));
  } else if (json) output.out(writePlan(report));
  else output.out(planText(project, report, system));
  return stopped ? code.stopped : code.ok;
}
