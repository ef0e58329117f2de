import {
  type BuildArea,
  fieldLimits,
  freeId,
  itemsOf,
  nameOf,
  type PlanReport,
  removeArea,
  schools,
} from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, NumberField, WordsField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';

const sourceKey = (of: BuildArea['of']) =>
  of.kind === 'zone' ? `zone:${of.id ?? ''}` : of.kind === 'landform' ? `landform:${of.id}` : 'steeper';

function sourceOf(key: string): BuildArea['of'] {
  if (key === 'steeper') return { kind: 'steeper', degrees: 45 };
  const id = key.slice(key.indexOf(':') + 1);
  return key.startsWith('zone:') ? { kind: 'zone', id: id || null } : { kind: 'landform', id };
}

/** Parts of the base built in a way of their own. */
export function AreasForm({ report }: { report: PlanReport }) {
  const project = useProject();
  const say = useSay();
  const { areas } = project.stacking;
  const put = (next: BuildArea[]) => edit((p) => ({ ...p, stacking: { ...p.stacking, areas: next } }));
  const sources = [
    { value: 'steeper', text: 'ground steeper than…' },
    ...report.zones.map(({ id, name }) => ({ value: `zone:${id ?? ''}`, text: `zone: ${name}` })),
    ...project.landforms.map((form) => ({ value: `landform:${form.id}`, text: `landform: ${nameOf(form)}` })),
  ];
  return (
    <section aria-label="Areas">
      <h2 className="mb-1 font-head text-base font-semibold">
        <Word>Areas built in a way of their own</Word>
      </h2>
      {areas.map((area) => {
        const set = (next: Partial<BuildArea>) =>
          put(areas.map((other) => (other.id === area.id ? { ...other, ...next } : other)));
        const covers = report.areas.find(({ id }) => id === area.id)?.planMm2 ?? 0;
        const key = sourceKey(area.of);
        const known = sources.some(({ value }) => value === key);
        return (
          <div key={area.id} className="mb-2 grid grid-cols-[1fr_1.3fr_90px_1fr_80px_auto] items-end gap-2">
            <WordsField label="Area" required value={area.name} onValue={(name) => set({ name })} />
            <ChoiceField
              label={`What ${area.name} is`}
              value={key}
              options={known ? sources : [{ value: key, text: 'not on this base' }, ...sources]}
              onValue={(value) => set({ of: sourceOf(value) })}
            />
            {area.of.kind === 'steeper' ? (
              <NumberField
                label="Steeper than"
                unit="°"
                value={area.of.degrees}
                {...fieldLimits('stacking.areas.of.degrees')}
                onValue={(degrees) => set({ of: { kind: 'steeper', degrees } })}
              />
            ) : (
              <span />
            )}
            <ChoiceField
              label={`Way of building ${area.name}`}
              value={area.school ?? 'as the rest'}
              options={['as the rest', ...schools]}
              onValue={(school) => set({ school: school === 'as the rest' ? null : (school as BuildArea['school']) })}
            />
            <span className="pb-1 text-right">
              <Figure text={say.area(covers)} />
            </span>
            <Button
              tone="quiet"
              aria-label={`Remove the area ${area.name}`}
              onClick={() => edit((p) => removeArea(p, area.id))}
            >
              <Trash2 size={15} aria-hidden />
            </Button>
          </div>
        );
      })}
      <Button
        disabled={areas.length >= 20}
        onClick={() => {
          const id = freeId('area', [...areas, ...itemsOf(project)]);
          put([
            ...areas,
            {
              id,
              name: areas.length ? `Area ${areas.length + 1}` : 'Cliffs',
              of: { kind: 'steeper', degrees: 45 },
              school: 'carve back',
            },
          ]);
        }}
      >
        <Plus size={14} aria-hidden /> Add an area
      </Button>
      <p className="mt-1 text-xs text-muted">
        The rest of the base is built in the way chosen under Stack. Where areas overlap the later one counts. Sheets
        may be kept to an area, or out of it, in the shed.
      </p>
    </section>
  );
}
