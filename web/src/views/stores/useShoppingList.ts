import { listOfTile, type PlanReport, type SetProgress, type ShoppingList } from '@hosket/core';
import { useEffect, useMemo } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { askSetList, useSetList } from '../../worker/setStore.ts';

interface Listed {
  /** Null until it is worked out. */
  list: ShoppingList | null;
  progress: SetProgress | null;
  failed: string | null;
}

/** What to buy: for the whole set where there is one, or for the open tile alone, as the builder chose. */
export function useShoppingList(report: PlanReport | null): Listed {
  const project = useProject();
  const wanted = useView((view) => view.listFor);
  const set = useSetList();
  const alone = wanted === 'tile' || !project.tiles.length;
  useEffect(() => {
    if (!alone) askSetList(project);
  }, [alone, project]);
  const own = useMemo(() => report && listOfTile(project, report), [project, report]);
  return alone ? { list: own, progress: null, failed: null } : set;
}
