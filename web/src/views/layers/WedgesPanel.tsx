import { type PlanReport, sayMinutes, USUAL_WEDGES } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';

type Wedges = NonNullable<PlanReport['wedges']>;
const set = (wedges: Wedges['on']) => edit((p) => ({ ...p, stacking: { ...p.stacking, wedges: wedges ?? undefined } }));

/** So many wedges are named one by one. */
const MOST_NAMED = 6;

/** Offcuts cut to wedges where the steps are deep, against paste: what either comes to, and one button for the other. */
export function WedgesPanel({ wedges }: { wedges: Wedges | null }) {
  const say = useSay();
  if (!wedges) return null;
  const { on, list, now, instead } = wedges;
  const [foam, paste] = on ? [now, instead] : [instead, now];
  return (
    <section aria-label="Foam in deep steps" className="mb-4 border border-line bg-sheet px-3 py-2">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <h2 className="font-head text-base font-semibold">
          <Word>Foam in deep steps</Word>
        </h2>
        {on && (
          <div className="flex items-end gap-2">
            <div className="w-32">
              <MeasureField
                label="Where deeper than"
                value={on.fromMm}
                least={2}
                most={100}
                onValue={(fromMm) => set({ ...on, fromMm })}
              />
            </div>
            <div className="w-32">
              <MeasureField
                label="Paste over them"
                value={on.skimMm}
                least={0.5}
                most={20}
                onValue={(skimMm) => set({ ...on, skimMm })}
              />
            </div>
          </div>
        )}
        <Button onClick={() => set(on ? null : USUAL_WEDGES)}>
          {on ? 'Fill with paste' : 'Fill with wedges first'}
        </Button>
      </div>
      <p className="text-sm" data-testid="wedges-save">
        {list.length} {list.length === 1 ? 'wedge' : 'wedges'} of offcut, {say.volume(foam.foamMl)}:{' '}
        {say.volume(paste.fillMl - foam.fillMl)} less paste, {say.mass(Math.max(0, paste.massG - foam.massG))} lighter,{' '}
        {difference(paste.handsOnMin - foam.handsOnMin)}
        {sooner(foam.dryAt, paste.dryAt)}.
      </p>
      <details className="mt-1">
        <summary className="cursor-pointer text-xs text-muted">Each wedge</summary>
        <ol className="mt-1 grid gap-0.5 text-xs text-muted">
          {list.slice(0, MOST_NAMED).map(({ at: [x, y], longMm, wideMm, deepMm, foamMl }) => (
            <li key={`${x} ${y}`}>
              <span className="figure">
                {say.mm(Math.round(longMm))} × {say.mm(Math.round(wideMm))}, {say.mm(deepMm)}
              </span>{' '}
              at its thick edge, {say.volume(foamMl)}; deepest {say.mm(Math.round(x))} from the left,{' '}
              {say.mm(Math.round(y))} from the front
            </li>
          ))}
          {list.length > MOST_NAMED && <li>and {list.length - MOST_NAMED} smaller ones</li>}
        </ol>
      </details>
    </section>
  );
}

const difference = (minutes: number): string => {
  if (Math.abs(minutes) < 1) return 'as much work';
  return `${sayMinutes(Math.abs(minutes))} ${minutes > 0 ? 'less' : 'more'} work`;
};

const DAY_MS = 86_400_000;
const sooner = (foam: string | null, paste: string | null): string => {
  if (!foam || !paste) return '';
  const days = Math.round((Date.parse(paste) - Date.parse(foam)) / DAY_MS);
  if (!days) return '';
  return `, ready ${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'sooner' : 'later'}`;
};
