import { baseSize, changeSection } from '@hosket/core';
import { useSection } from '../../instruments/section/sectionLine.ts';
import { edit, useProject } from '../../store/projectStore.ts';
import { MeasureField, WordsField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';

/** The shown section's name, and the ends of its line as numbers: what dragging them does. */
export function SectionFields() {
  const { base } = useProject();
  const section = useSection();
  const { widthMm, depthMm } = baseSize(base);
  const ends = [
    ['from', 'Left end'],
    ['to', 'Right end'],
  ] as const;
  return (
    <fieldset className="mt-4">
      <Legend>Section {section.name}</Legend>
      <div className="mb-2">
        <WordsField
          label="Name of the section"
          required
          most={24}
          value={section.name}
          onValue={(name) => edit((p) => changeSection(p, section.id, { name }))}
        />
      </div>
      {ends.map(([end, words]) => (
        <div key={end} className="mb-2 grid grid-cols-2 gap-2">
          <MeasureField
            label={`${words}, across`}
            value={section[end][0]}
            most={widthMm}
            onValue={(x) => edit((p) => changeSection(p, section.id, { [end]: [x, section[end][1]] }))}
          />
          <MeasureField
            label={`${words}, away`}
            value={section[end][1]}
            most={depthMm}
            onValue={(y) => edit((p) => changeSection(p, section.id, { [end]: [section[end][0], y] }))}
          />
        </div>
      ))}
    </fieldset>
  );
}
