import {
  formatMeasure,
  type HandLayer,
  type MovesReport,
  type PlanReport,
  type Project,
  sayClock,
  sayHours,
  sayMinutes,
  sayRoomWork,
  settingOut,
  type UnitSystem,
  type WedgesReport,
} from '@hosket/core';
import { rule, table } from './table.ts';

/** More stacks than this are not printed one by one. */
const MOST_STACKS = 24;

type Say = (value: number) => string;

/** Levels that would be brought onto joints, one line each, and what that saves. */
function movesText({ moves, held, solved }: MovesReport, mm: Say, ml: Say): string {
  const lines = [rule('Levels onto joints')];
  if (!moves.length) lines.push('  no level that may move saves anything by it\n');
  for (const { name, fromMm, toMm, byMm } of moves)
    lines.push(
      `  ${name}: ${byMm > 0 ? 'up' : 'down'} ${mm(Math.abs(byMm))}, bare foam ${mm(fromMm)} to ${mm(toMm)}\n`,
    );
  if (solved) {
    const { before, after } = solved;
    lines.push(
      `  carve ${ml(before.carveMl)} to ${ml(after.carveMl)}, fill ${ml(before.fillMl)} to ${ml(after.fillMl)}, hands-on ${sayMinutes(before.handsOnMin)} to ${sayMinutes(after.handsOnMin)}\n`,
    );
    if (before.dryAt && after.dryAt) lines.push(`  dry base ${sayClock(before.dryAt)} to ${sayClock(after.dryAt)}\n`);
  }
  for (const { name, by } of held) lines.push(`  ${name} is held by ${by}\n`);
  return lines.join('');
}

/** Wedges of offcut against paste in deep steps: what either comes to, and the wedges one by one. */
function wedgesText({ on, list, now, instead }: WedgesReport, mm: Say, ml: Say): string {
  const [foam, paste] = on ? [now, instead] : [instead, now];
  return [
    rule(on ? 'Wedges of offcut in the deep steps' : 'Wedges of offcut could fill the deep steps'),
    `  paste in the steps ${ml(foam.fillMl)} instead of ${ml(paste.fillMl)}; foam ${ml(foam.foamMl)}; ${Math.round(paste.massG - foam.massG)} g lighter; hands-on ${sayMinutes(foam.handsOnMin)} instead of ${sayMinutes(paste.handsOnMin)}\n`,
    ...(foam.dryAt && paste.dryAt ? [`  ready ${sayClock(foam.dryAt)} instead of ${sayClock(paste.dryAt)}\n`] : []),
    ...list.map(
      ({ longMm, wideMm, deepMm, foamMl, at: [x, y] }) =>
        `  ${mm(longMm)} x ${mm(wideMm)}, ${mm(deepMm)} thick: ${ml(foamMl)}, at ${mm(x)}, ${mm(y)}\n`,
    ),
  ].join('');
}

/** The stack that is built, what else could be built, and the order of gluing. */
export function stackText(project: Project, report: PlanReport, system: UnitSystem): string {
  const mm = (value: number) => formatMeasure('length', value, system);
  const ml = (value: number) => formatMeasure('volume', value, system);
  const cm2 = (value: number) => formatMeasure('area', value, system, 0);
  const grams = (value: number) => formatMeasure('mass', value, system);
  const name = (id: string) => project.sheets.find((sheet) => sheet.id === id)?.name || id;
  const layerName = ({ sheetIds, sliceMm }: HandLayer) =>
    `${sheetIds.map(name).join(' + ')}${sliceMm === null ? '' : ` sliced to ${mm(sliceMm)}`}`;
  const { stack, front } = report;
  const lines: string[] = [];

  lines.push(rule(`Stack, ${stack.school}${stack.byHand ? ', by hand' : ''}`));
  lines.push(
    table([
      ['layer', 'sheet', 'from', 'to', 'area', 'outline', 'from one sheet'],
      ...[...stack.layers]
        .reverse()
        .map((layer) => [
          `${layer.index}${stack.pinned[layer.index - 1] ? ' (pinned)' : ''}`,
          layerName(stack.written[layer.index - 1]),
          mm(layer.bottomMm),
          mm(layer.topMm),
          cm2(layer.areaMm2),
          mm(layer.outlineMm),
          layer.fitsWhole ? 'yes' : 'no, with a seam',
        ]),
    ]),
  );
  lines.push(
    `  carve ${ml(stack.carveMl)}, fill ${ml(stack.fillMl)}, foam left ${ml(stack.foamLeftMl)} (${grams(stack.foamMassG.likely)})\n`,
  );
  if (stack.cutOutMl > 0.5)
    lines.push(`  cut out of layers ${ml(stack.cutOutMl)}, ${grams(stack.savedG)} of foam saved\n`);
  if (stack.hollowMl > 0.5) lines.push(`  carved out for voids and things set in ${ml(stack.hollowMl)}\n`);
  lines.push(`  paste: 95 % no deeper than ${mm(stack.paste.most95Mm)}, deepest ${mm(stack.paste.deepestMm)}\n`);
  for (const { sheetId, sheets, toBuy } of stack.sheetsUsed)
    lines.push(
      `  ${name(sheetId)}: ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}${toBuy ? `, ${toBuy} to buy` : ''}\n`,
    );
  const dearer = stack.costMin - stack.best.costMin;
  lines.push(
    `  costs ${Math.round(stack.costMin)} min by the stated figures${Math.abs(dearer) >= 0.5 ? `, ${Math.round(dearer)} min more than the cheapest of this school` : ''}\n`,
  );

  if (stack.way.by === 'plan')
    lines.push(
      `  chosen by the plan: ${Math.round(stack.way.sparesMin)} min less and ${stack.way.soonerDays.toFixed(1)} days sooner than ${stack.way.against}${stack.way.near ? '; the two are near' : ''}\n`,
    );
  if (report.moves) lines.push(movesText(report.moves, mm, ml));
  if (report.wedges) lines.push(wedgesText(report.wedges, mm, ml));
  lines.push(rule('The three schools'));
  lines.push(
    table([
      ['school', 'layers', 'carve', 'fill', 'hands-on', 'paste dry after', 'dry base'],
      ...report.schools.map((school) => [
        school.school,
        String(school.layers.length),
        ml(school.carveMl),
        ml(school.fillMl),
        sayMinutes(school.handsOnMin),
        sayHours(school.pasteDryHours.likely),
        school.finish ? sayClock(school.finish.likely) : 'no bench hours',
      ]),
    ]),
  );

  const unbeaten = front.proposals.filter(({ beaten, names }) => !beaten || names.length);
  const shown = [...unbeaten].sort((a, b) => b.names.length - a.names.length || a.costMin - b.costMin);
  lines.push(rule('Stacks worth having'));
  lines.push(
    table([
      ['best in', 'school', 'layers', 'carve', 'fill', 'bought', 'dry after', 'foam and paste', 'cost, min'],
      ...shown
        .slice(0, MOST_STACKS)
        .map(({ names, school, totals, dryHours, costMin }) => [
          names.join(', ') || '-',
          school,
          String(totals.layers),
          ml(totals.carveMl),
          ml(totals.fillMl),
          totals.bought.toFixed(2),
          sayHours(dryHours),
          grams(totals.massG),
          String(Math.round(costMin)),
        ]),
    ]),
  );
  const more = shown.length - MOST_STACKS;
  if (more > 0) lines.push(`  and ${more} more\n`);
  if (!front.complete) lines.push('  not every stack was weighed: there are too many\n');

  lines.push(rule('Order of gluing'));
  for (const layer of stack.layers) {
    const dowels = layer.dowels.map(([x, y]) => `${mm(x)}, ${mm(y)}`).join(' and ');
    lines.push(
      `  ${layer.index}. ${layerName(stack.written[layer.index - 1])} on ${layer.index === 1 ? 'the board' : `layer ${layer.index - 1}`}${dowels ? `, dowels at ${dowels}` : ''}\n`,
    );
    for (const { hole, places } of settingOut(layer.pieces))
      lines.push(
        `     ${hole ? 'hole' : 'outline'}, from the left and the front: ${places.map(({ letter, fromLeftMm, fromFrontMm }) => `${letter} ${mm(fromLeftMm)}, ${mm(fromFrontMm)}`).join('; ')}\n`,
      );
    for (const work of layer.works) lines.push(`     ${sayRoomWork(work, system)}\n`);
  }
  return lines.join('');
}
