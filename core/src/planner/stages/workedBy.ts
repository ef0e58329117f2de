import { daysOf } from '../../days/index.ts';
import type { PasteMap } from '../../layers/index.ts';
import type { School } from '../../project/index.ts';
import type { Worked } from '../../report/index.ts';
import { onGround, surfacesOf, takeoffOf } from '../../takeoff/index.ts';
import { type Input, stage } from '../input.ts';
import { ground } from './ground.ts';
import { isOther } from './isOther.ts';
import { layersBy } from './layersBy.ts';
import { pasteBy } from './pasteBy.ts';
import { worn } from './worn.ts';
import { zones } from './zones.ts';

type Under = {
  ground: Parameters<typeof surfacesOf>[1];
  zones: Parameters<typeof surfacesOf>[2];
  worn: Parameters<typeof surfacesOf>[3];
};

/** What goes on a stack: coats, cover, rows, counts. */
export const aboveOf = (
  { project }: Input,
  { ground: land, zones: read, worn: dressed }: Under,
  paste: PasteMap,
): Worked['above'] => onGround(project, land, surfacesOf(project, land, read, dressed, paste));

export const aboveBy = (school: School) =>
  stage({
    name: `cover, ${school}`,
    needs: { ground, zones, worn, paste: pasteBy(school) },
    run: ({ input, needs }) => aboveOf(input, needs, needs.paste),
    lags: isOther(school),
  });

/** Amounts, minutes and days of the cheapest stack of a school. */
export const workedBy = (school: School) =>
  stage({
    name: `amounts, ${school}`,
    needs: { layers: layersBy(school), paste: pasteBy(school), above: aboveBy(school) },
    run: ({ input: { project }, needs: { layers, paste, above } }): Worked => {
      const takeoff = takeoffOf(project, layers.plan, above, null, paste.wedges);
      const { whole, wedges } = paste;
      return { plan: layers.plan, paste: whole, wedges, above, takeoff, days: daysOf(project, layers.plan, takeoff) };
    },
    lags: isOther(school),
  });
