import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { ChoiceField } from '../../ui/Field.tsx';
import { useSetList } from '../../worker/setStore.ts';

/** Which tiles the list is for, and which of them is being worked out; nothing where there is only one. */
export function ListFor() {
  const { tile, tiles } = useProject();
  const listFor = useView((view) => view.listFor);
  const { progress, failed } = useSetList();
  if (!tiles.length) return null;
  return (
    <div className="mb-2 flex flex-wrap items-end gap-3">
      <ChoiceField
        label="Needs and list for"
        value={listFor}
        options={[
          { value: 'set', text: `the whole set, ${tiles.length + 1} tiles` },
          { value: 'tile', text: `${tile.name} only` },
        ]}
        onValue={(next) => useView.setState({ listFor: next === 'tile' ? 'tile' : 'set' })}
      />
      <p role="status" className="pb-1 text-sm text-muted">
        {listFor === 'set' && progress && `Working out ${progress.name}, tile ${progress.at} of ${progress.of}…`}
      </p>
      {listFor === 'set' && failed && (
        <p role="alert" className="pb-1 text-sm text-plum">
          The set could not be worked out: {failed} Choose one tile meanwhile, and look at the findings of each.
        </p>
      )}
    </div>
  );
}
