import { ownFigure } from '@hosket/core';
import { type ReactNode, useMemo } from 'react';
import { edit } from '../store/projectStore.ts';
import { useView } from '../store/viewStore.ts';
import { type Surroundings, SurroundingsContext } from '../ui/surroundings.ts';

/** Tells fields and figures the builder's units, and how a figure is corrected in the open project. */
export function InHouse({ children }: { children: ReactNode }) {
  const units = useView((view) => view.units);
  const surroundings = useMemo<Surroundings>(
    () => ({ units, correct: (figure, value) => edit((p) => ownFigure(p, figure, value)) }),
    [units],
  );
  return <SurroundingsContext value={surroundings}>{children}</SurroundingsContext>;
}
