import { cutTools, fieldLimits, kerfMmOf, type Project } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, MeasureOrNoneField, NumberField, TickField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';

type Cutting = Project['cutting'];
const change = (next: Partial<Cutting>) => edit((p) => ({ ...p, cutting: { ...p.cutting, ...next } }));

const turnings = [
  { value: 'free', text: 'as suits them' },
  { value: 'steps', text: 'by steps' },
  { value: 'half', text: 'not, or half round' },
] as const;

/** Tool, kerf, slivers, how pieces lie, seams, and the search. */
export function CutForm() {
  const { cutting, sheets } = useProject();
  const { tool, turning, seam, search } = cutting;
  return (
    <div className="max-w-3xl">
      <Group title="Tool">
        <ChoiceField label="Cut with" value={tool} options={cutTools} onValue={(next) => change({ tool: next })} />
        <MeasureOrNoneField
          label="Kerf"
          value={cutting.kerfMm}
          none="as usual"
          now={kerfMmOf({ ...cutting, kerfMm: null })}
          {...fieldLimits('cutting.kerfMm')}
          onValue={(kerfMm) => change({ kerfMm })}
        />
        <div className="self-end pb-1">
          <TickField
            label="Draw outlines half a kerf outside"
            value={cutting.offsetKerf}
            onValue={(offsetKerf) => change({ offsetKerf })}
          />
        </div>
        <NumberField
          label="Slivers are smaller than"
          unit="cm2"
          value={cutting.sliverMm2 / 100}
          least={0}
          most={100}
          onValue={(cm2) => change({ sliverMm2: cm2 * 100 })}
        />
      </Group>
      <Group title="How pieces lie">
        <ChoiceField
          label="Pieces are turned"
          value={turning.kind}
          options={turnings}
          onValue={(kind) => change({ turning: kind === 'steps' ? { kind, degrees: 45 } : { kind } })}
        />
        {turning.kind === 'steps' && (
          <NumberField
            label="Step"
            unit="degrees"
            value={turning.degrees}
            {...fieldLimits('cutting.turning.degrees')}
            onValue={(degrees) => change({ turning: { kind: 'steps', degrees } })}
          />
        )}
        <MeasureField
          label="Gap between pieces"
          value={cutting.gapMm}
          {...fieldLimits('cutting.gapMm')}
          onValue={(gapMm) => change({ gapMm })}
        />
        <MeasureField
          label="Margin along the edge of a sheet"
          value={cutting.marginMm}
          {...fieldLimits('cutting.marginMm')}
          onValue={(marginMm) => change({ marginMm })}
        />
      </Group>
      <fieldset className="mb-4">
        <Legend>Sheets with a grain</Legend>
        <p className="mb-1 text-xs text-muted">
          Pieces on them lie along the grain or turned half round, whatever is chosen above.
        </p>
        <div className="flex flex-wrap gap-x-5 gap-y-1">
          {sheets.map((sheet) => (
            <TickField
              key={sheet.id}
              label={`${sheet.name || sheet.id} has a grain`}
              value={sheet.grain}
              onValue={(grain) =>
                edit((p) => ({
                  ...p,
                  sheets: p.sheets.map((other) => (other.id === sheet.id ? { ...other, grain } : other)),
                }))
              }
            />
          ))}
        </div>
      </fieldset>
      <Group title="Seams">
        <div className="self-end pb-1">
          <TickField
            label="Split what is larger than a sheet"
            value={cutting.split}
            onValue={(split) => change({ split })}
          />
        </div>
        <ChoiceField
          label="Seams are"
          value={seam.kind}
          options={['straight', 'keyed']}
          onValue={(kind) => change({ seam: { ...seam, kind } })}
        />
        <MeasureField
          label="Apart from seams above and below"
          value={seam.apartMm}
          {...fieldLimits('cutting.seam.apartMm')}
          onValue={(apartMm) => change({ seam: { ...seam, apartMm } })}
        />
      </Group>
      <Group title="Search for a layout">
        <NumberField
          label="Goes on without getting better for"
          unit="s"
          value={search.patienceSeconds}
          {...fieldLimits('cutting.search.patienceSeconds')}
          onValue={(patienceSeconds) => change({ search: { ...search, patienceSeconds } })}
        />
        <NumberField
          label="Seed"
          whole
          value={search.seed}
          {...fieldLimits('cutting.search.seed')}
          onValue={(seed) => change({ search: { ...search, seed } })}
        />
      </Group>
    </div>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="mb-4 grid grid-cols-[repeat(auto-fill,minmax(190px,1fr))] gap-3">
      <Legend>{title}</Legend>
      {children}
    </fieldset>
  );
}
