import { heightsShown } from '../../instruments/plan/itemLabel.ts';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';

/** Which heights stand on the plan and in the list: the next at each press. */
export function HeightsShown() {
  const shown = useView((view) => view.heightsShown);
  const { heights } = useProject();
  const next = heightsShown[(heightsShown.indexOf(shown) + 1) % heightsShown.length];
  const drawn = heights === 'foam' ? 'bare foam' : 'finished';
  return (
    <button
      type="button"
      title={`Show heights ${next === 'as drawn' ? next : `of ${next === 'finished' ? 'finished ground' : next}`}`}
      className="shrink-0 cursor-pointer rounded-md border border-line px-2 text-xs hover:bg-sheet"
      onClick={() => useView.setState({ heightsShown: next })}
    >
      Heights: {shown === 'as drawn' ? `as drawn, ${drawn}` : shown}
    </button>
  );
}
