import { type BenchSheet, benchSheet, type PlanReport } from '@hosket/core';
import { useMemo } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { usePlan } from '../../worker/planStore.ts';
import { useShoppingList } from './useShoppingList.ts';

/** The open plan as it goes to the bench on paper, with the shopping list; null until its fields and its list are there. */
export function useBenchSheet(report: PlanReport | null): BenchSheet | null {
  const project = useProject();
  const units = useView((view) => view.units);
  const fields = usePlan((state) => state.fields);
  const { list } = useShoppingList(report);
  return useMemo(
    () => (report && fields && list ? benchSheet(project, report, fields, units, list) : null),
    [project, report, fields, units, list],
  );
}
