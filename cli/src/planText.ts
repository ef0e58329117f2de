import {
  baseSize,
  findingIn,
  formatMeasure,
  formatScale,
  type PlanReport,
  type Project,
  resaid,
  sayClock,
  sayHours,
  sayTolerance,
  sayWork,
  type UnitSystem,
  wholeList,
} from '@hosket/core';
import { cutText } from './cutText.ts';
import { fitText } from './fitText.ts';
import { groundText } from './groundText.ts';
import { stackText } from './stackText.ts';
import { storesText } from './storesText.ts';
import { surfaceText } from './surfaceText.ts';
import { rule, table } from './table.ts';
import { withinText } from './withinText.ts';

/** "warn: Meadow: ..."; what the builder ignores, with the reason. */
export function sayFinding(finding: PlanReport['findings'][number], system: UnitSystem): string {
  const { severity, place, overruled } = finding;
  const { message, remedy } = findingIn(finding, system);
  return `${overruled ? 'ignored' : severity}: ${place}: ${message} ${overruled ? `(${overruled})` : remedy}`;
}

/** A plan to be read in a terminal: the same numbers as on the screens. */
export function planText(project: Project, report: PlanReport, system: UnitSystem): string {
  const mm = (value: number) => formatMeasure('length', value, system);
  const ml = (value: number) => formatMeasure('volume', value, system);
  const cm2 = (value: number) => formatMeasure('area', value, system, 0);
  const chosen = report.stack;
  const { widthMm, depthMm } = baseSize(project.base);
  const { opening } = project.base;
  const lines: string[] = [];
  lines.push(
    `${project.name}, ${formatScale(project.scale)}, ${project.base.shape.kind} ${mm(widthMm)} x ${mm(depthMm)}${opening ? `, open in the middle: ${mm(opening.widthMm)} x ${mm(opening.depthMm)}` : ''}\n`,
  );
  lines.push(
    `Ground ${mm(report.ground.lowestMm)} to ${mm(report.ground.highestMm)}, ${ml(report.ground.volumeMl)}, surface ${cm2(report.ground.trueMm2)}, cells of ${report.ground.cellMm} mm\n`,
  );
  for (const finding of report.findings) lines.push(`  ${sayFinding(finding, system)}\n`);

  lines.push(rule('Heights'));
  lines.push(
    table([
      ['mark', 'drawn as', 'finished', 'skin', 'bare foam', 'foam there', 'off by', 'at worst', 'what to do'],
      ...chosen.levels.map((level) => [
        level.name || level.itemId,
        level.heightIs === 'foam' ? 'bare foam' : 'finished',
        mm(level.wantedMm),
        mm(level.skinMm),
        mm(level.targetMm),
        mm(level.foamThereMm),
        sayTolerance(level.errorMixed, system),
        sayTolerance(level.errorWorst, system),
        sayWork(level, mm),
      ]),
    ]),
  );

  lines.push(groundText(report, system));
  lines.push(withinText(report, system));
  lines.push(fitText(report, system));

  lines.push(stackText(project, report, system));
  lines.push(cutText(report, system));

  lines.push(surfaceText(project, report, system));
  lines.push(storesText(project, report, wholeList(project, report), system));

  lines.push(rule('Waits'));
  lines.push(
    table([
      ['operation', 'touch-dry', 'may be coated', 'dry through', 'because'],
      ...report.operations.map(({ title, waits }) => [
        title,
        sayHours(waits.touch.likely),
        sayHours(waits.coat.likely),
        sayHours(waits.through.likely),
        resaid(waits.reason, system),
      ]),
    ]),
  );
  for (const joint of report.joints)
    lines.push(
      `  joint ${joint.joint}, ${joint.between}: hold ${sayHours(joint.workable.likely)}, dry ${sayHours(joint.dry.likely)}\n`,
    );

  lines.push(rule('Finish'));
  lines.push(
    report.finish
      ? `  dry ${sayClock(report.finish.likely)} (${sayClock(report.finish.early)} to ${sayClock(report.finish.late)}), sure by ${sayClock(report.finish.sure)}\n`
      : '  no day can be named without bench hours\n',
  );
  return lines.join('');
}
