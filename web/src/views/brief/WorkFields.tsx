import { formatScale, namedScales, type Project, parseScale } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';
import { ChoiceField, ReadField, WordsField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';

/** What it is called, its scale, notes. */
export function WorkFields({ project }: { project: Project }) {
  return (
    <fieldset className="grid grid-cols-2 content-start gap-3">
      <Legend>The work</Legend>
      <WordsField label="Name" required value={project.name} onValue={(name) => edit((p) => ({ ...p, name }))} />
      <ReadField
        label="Scale (1:87, a name, or empty)"
        text={project.scale === null ? '' : formatScale(project.scale)}
        read={(text) => {
          if (!text.trim() || text.trim() === 'no scale') return { ok: true, value: null };
          const scale = parseScale(text);
          return scale.ok ? scale : { ok: false, why: `${scale.fault.message} ${scale.fault.remedy}` };
        }}
        onValue={(scale: number | null) => edit((p) => ({ ...p, scale }))}
      />
      <div className="col-span-2">
        <WordsField
          label="Notes"
          lines={2}
          most={20000}
          value={project.notes}
          onValue={(notes) => edit((p) => ({ ...p, notes }))}
        />
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Named scale"
          value={namedScales.find(({ ratio }) => ratio === project.scale)?.name ?? ''}
          options={[
            { value: '', text: 'none of these' },
            ...namedScales.map(({ name, ratio, standard }) => ({
              value: name,
              text: `${name}, ${formatScale(ratio)} (${standard})`,
            })),
          ]}
          onValue={(name) =>
            edit((p) => ({ ...p, scale: namedScales.find((scale) => scale.name === name)?.ratio ?? null }))
          }
        />
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Drawn heights are of"
          value={project.heights}
          options={[
            { value: 'foam', text: 'bare foam; skin and cover come on top' },
            { value: 'ground', text: 'the finished ground; foam is cut lower' },
          ]}
          onValue={(heights) => edit((p) => ({ ...p, heights }))}
        />
        <p className="mt-1 text-xs text-muted">
          {project.heights === 'foam'
            ? 'Waters, decks, track and the sides of tiles are finished heights all the same.'
            : 'A single thing may be of bare foam all the same.'}{' '}
          Numbers stay as they are when this changes.
        </p>
      </div>
    </fieldset>
  );
}
