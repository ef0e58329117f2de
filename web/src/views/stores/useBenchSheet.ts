import { type BenchSheet, benchSheet, type PlanReport } from '@hosket/core';
import { useMemo } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { usePlan } from '../../worker/planStore.ts';

/** The open plan as it goes to the bench on paper; null until its fields are there. */
export function useBenchSheet(report: PlanReport | null): BenchSheet | null {
  const project = useProject();
  const units = useView((view) => view.units);
  const fields = usePlan((state) => state.fields);
  return useMemo(
    () => (report && fields ? benchSheet(project, report, fields, units) : null),
    [project, report, fields, units],
  );
}
