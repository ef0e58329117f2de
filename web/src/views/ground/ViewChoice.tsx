import { ToggleGroup } from 'radix-ui';
import { bandsOf, bandWords, type Shading, shadings } from '../../instruments/plan/shading.ts';
import { coversThere } from '../../instruments/textures/covers.ts';
import { Swatch } from '../../instruments/textures/Swatch.tsx';
import { useView } from '../../store/viewStore.ts';
import { TickField } from '../../ui/Field.tsx';
import { usePlan } from '../../worker/planStore.ts';
import type { Pane } from '../bringIn/HandOut.tsx';

const panes = ['plan', 'model', 'both'] as const satisfies readonly (Pane | 'both')[];
export type Panes = (typeof panes)[number];

interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  options: readonly T[];
  onValue: (value: T) => void;
}

function Choice<T extends string>({ label, value, options, onValue }: ChoiceProps<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onValue(next as T)}
      className="flex gap-0.5 max-[999px]:flex-wrap"
    >
      {options.map((name) => (
        <ToggleGroup.Item
          key={name}
          value={name}
          className="min-h-6 cursor-pointer rounded-md border border-transparent px-1 min-[1200px]:px-1.5 hover:border-line data-[state=on]:border-clay data-[state=on]:bg-sheet"
        >
          {name}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** Plan or model, and what the plan's tint tells. */
export function ViewChoice({
  pane,
  wide,
  onPane,
}: {
  pane: Panes;
  /** There is room for both side by side. */
  wide: boolean;
  onPane: (pane: Panes) => void;
}) {
  const { shading, snapping } = useView();
  return (
    <div className="flex min-w-0 flex-1 items-center gap-x-2 text-xs max-[999px]:flex-wrap min-[1200px]:gap-x-3">
      <Choice label="Plan or model" value={pane} options={wide ? panes : panes.slice(0, 2)} onValue={onPane} />
      {pane !== 'model' && (
        <>
          <Choice
            label="Shading of the plan"
            value={shading}
            options={shadings}
            onValue={(value: Shading) => useView.setState({ shading: value })}
          />
          <TickField label="Snap" value={snapping} onValue={(on) => useView.setState({ snapping: on })} />
        </>
      )}
    </div>
  );
}

/** The key of the tint, over the plan's lower corner: it comes and goes without moving anything. */
export function TintKey() {
  const { shading, units, figureMm } = useView();
  const highestMm = usePlan((state) => state.report?.ground.highestMm ?? 0);
  const there = coversThere(usePlan((state) => state.report));
  if (shading === 'relief') return null;
  const bands = bandsOf(shading, highestMm);
  const words = bandWords(bands, shading, units);
  return (
    <div className="pointer-events-none absolute bottom-1 left-1 max-w-[75%] rounded-md border border-line bg-sheet/90 px-2 py-0.5 text-xs">
      {shading === 'standing' && (
        <div className="pointer-events-auto">
          <Choice
            label="Base of the figure"
            value={`${figureMm}` as `${number}`}
            options={['25', '32', '40'] as `${number}`[]}
            onValue={(value) => useView.setState({ figureMm: Number(value) })}
          />
        </div>
      )}
      <ul aria-label={`Key of the ${shading}`} className="flex flex-wrap gap-x-3">
        {bands.map((band, k) =>
          shading === 'cover' && !there.has(words[k]) ? null : (
            <li key={words[k]} className="flex items-center gap-1">
              <Swatch band={band} />
              {words[k]}
            </li>
          ),
        )}
      </ul>
    </div>
  );
}
