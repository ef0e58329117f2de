import type { VoidRead } from '../ground/index.ts';
import type { Void } from '../project/index.ts';
import { mm } from '../units/index.ts';
import type { PlanView } from './finding.ts';

export const place = ([x, y]: readonly [number, number]) => `${mm(x, 0)} across, ${mm(y, 0)} away`;

/** Every void with what was read of it. */
export const each = <T>({ project, voids }: PlanView, visit: (read: VoidRead, hollow: Void) => T[]): T[] =>
  voids.voids.flatMap((read) => {
    const hollow = project.voids.find(({ id }) => id === read.id);
    return hollow ? visit(read, hollow) : [];
  });
