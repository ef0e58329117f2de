import { limitIn } from '@hosket/core';
import { Check, CircleHelp, X } from 'lucide-react';
import { Word } from '../../ui/help/Word.tsx';
import { useUnits } from '../../ui/surroundings.ts';
import { usePlan } from '../../worker/planStore.ts';

const signs = {
  yes: { word: 'kept', icon: <Check size={15} className="text-moss" aria-hidden /> },
  no: { word: 'not kept', icon: <X size={15} className="text-plum" aria-hidden /> },
  open: { word: 'open', icon: <CircleHelp size={15} className="text-muted" aria-hidden /> },
};

/** Every limit and rule, ticked where the plan can tell. */
export function LimitsRead() {
  const limits = usePlan((state) => state.report?.limits ?? null);
  const units = useUnits();
  if (!limits?.length) return null;
  return (
    <section className="mt-3" aria-label="Limits and rules">
      <h3 className="text-sm text-muted">
        <Word>Limits and rules</Word>
      </h3>
      <ul>
        {limits.map((limit) => {
          const { id, kept } = limit;
          const { text, why } = limitIn(limit, units);
          const { word, icon } = signs[kept === null ? 'open' : kept ? 'yes' : 'no'];
          return (
            <li key={id} className="flex items-start gap-2 border-b border-line py-1 text-sm">
              <span className="mt-0.5">{icon}</span>
              <span>
                {text} <span className="text-xs text-muted">({word})</span>
                <span className="block text-xs text-muted">{why}</span>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
