import { catalogueOf, type Form, servesFor } from '../../materials/index.ts';
import type { Finding, Rule } from '../finding.ts';

/** Once opened, powders that set and wet stuff last about so many months in a cupboard (common practice, no source). */
const OPEN_MONTHS = { sets: 6, wet: 12 };
const WET: readonly Form[] = ['glue', 'paste', 'thin', 'liquid'];

const kind = ({ name, which }: { name: string; which: string }) => (which ? `${name}, ${which}` : name);

/** The day so many months after another, `2027-03-15`. */
function monthsAfter(day: string, months: number): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCMonth(date.getUTCMonth() + months);
  return date.toISOString().slice(0, 10);
}

/** What would be used after its date, or was opened long before it is used. */
export const pastItsDate: Rule = ({ shopping, project }) => {
  const catalogue = catalogueOf(project.materials);
  return shopping.flatMap((line): Finding[] => {
    const place = kind(line);
    const found: Finding[] = [];
    if (line.pastDate > 0)
      found.push({
        code: 'past-its-date',
        severity: 'warn',
        band: 'stores',
        place,
        message: `${place} in the cupboard is past its date by the day it is needed; it is not counted.`,
        remedy:
          'Try it on a scrap of foam first (plaster that has drawn damp sets in a minute or not at all), or buy fresh.',
      });
    const day = line.steps.reduce((last, { by }) => (by > last ? by : last), '');
    const material = catalogue.material(line.material);
    const months = material?.facts.includes('sets')
      ? OPEN_MONTHS.sets
      : material && WET.includes(material.form)
        ? OPEN_MONTHS.wet
        : null;
    const old = project.stores.items.find(
      (item) =>
        item.opened !== null &&
        months !== null &&
        day > monthsAfter(item.opened, months) &&
        servesFor(item, line, catalogue),
    );
    if (old && months !== null)
      found.push({
        code: 'opened-long-ago',
        severity: 'note',
        band: 'stores',
        place,
        message: `${place} in the cupboard was opened on ${old.opened}, more than ${months} months before it is needed; it is counted.`,
        remedy: 'Try it on a scrap first, and write what is still good of it.',
      });
    return found;
  });
};
