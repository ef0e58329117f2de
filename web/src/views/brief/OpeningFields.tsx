import { baseSize, fieldLimits, type Project } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField } from '../../ui/Field.tsx';

type Base = Project['base'];
type Opening = NonNullable<Base['opening']>;

/** A new one takes so much of the base, about its middle. */
const SHARE = 0.4;

function startOpening(base: Base, kind: Opening['kind']): Opening {
  const { widthMm, depthMm } = baseSize(base);
  const side = Math.max(5, Math.round(SHARE * Math.min(widthMm, depthMm)));
  return { kind, at: [widthMm / 2, depthMm / 2], widthMm: side, depthMm: side };
}

/** A base that is open in the middle, right through its board. */
export function OpeningFields({ base }: { base: Base }) {
  const { opening } = base;
  const set = (next: Opening | undefined) =>
    edit((p) => {
      const { opening: _, ...whole } = p.base;
      return { ...p, base: next ? { ...whole, opening: next } : whole };
    });
  return (
    <>
      <ChoiceField
        label="Open in the middle"
        value={opening?.kind ?? 'no'}
        options={[
          { value: 'no', text: 'no, it is whole' },
          { value: 'round', text: 'round or oval' },
          { value: 'oblong', text: 'oblong' },
        ]}
        onValue={(kind) => set(kind === 'no' ? undefined : opening ? { ...opening, kind } : startOpening(base, kind))}
      />
      {opening && (
        <div className="col-span-2 grid grid-cols-2 gap-3">
          <MeasureField
            label="Opening, width"
            value={opening.widthMm}
            {...fieldLimits('base.opening.widthMm')}
            onValue={(widthMm) => set({ ...opening, widthMm })}
          />
          <MeasureField
            label="Opening, depth"
            value={opening.depthMm}
            {...fieldLimits('base.opening.depthMm')}
            onValue={(depthMm) => set({ ...opening, depthMm })}
          />
          <MeasureField
            label="Its middle from the left"
            value={opening.at[0]}
            least={0}
            most={3000}
            onValue={(x) => set({ ...opening, at: [x, opening.at[1]] })}
          />
          <MeasureField
            label="Its middle from the front"
            value={opening.at[1]}
            least={0}
            most={3000}
            onValue={(y) => set({ ...opening, at: [opening.at[0], y] })}
          />
        </div>
      )}
    </>
  );
}
