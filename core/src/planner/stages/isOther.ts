import type { Choice } from '../../choice/index.ts';
import type { School } from '../../project/index.ts';

/** Whether a school is known not to be the one that is built: then a quick answer may leave what follows from it as it was. */
export const isOther =
  (school: School) =>
  ({ known }: { known: (name: string) => unknown }): boolean => {
    const made = known('choice') as Choice | undefined;
    return made !== undefined && made.chosen.school !== school;
  };
