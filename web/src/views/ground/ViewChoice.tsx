import { ToggleGroup } from 'radix-ui';
import { bandsOf, bandWords, type Shading, shadings } from '../../instruments/plan/shading.ts';
import { coversThere } from '../../instruments/textures/covers.ts';
import { Swatch } from '../../instruments/textures/Swatch.tsx';
import { useView } from '../../store/viewStore.ts';
import { TickField } from '../../ui/Field.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { BringIn } from '../bringIn/BringIn.tsx';
import { HandOut, type Pane } from '../bringIn/HandOut.tsx';

const panes = ['plan', 'model'] as const satisfies readonly Pane[];

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
      className="flex flex-wrap gap-1"
    >
      {options.map((name) => (
        <ToggleGroup.Item
          key={name}
          value={name}
          className="min-h-6 cursor-pointer rounded-md border border-transparent px-2 hover:border-line data-[state=on]:border-clay data-[state=on]:bg-sheet"
        >
          {name}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** Plan or model; what the plan's tint tells, with its key beside the choice; and a picture to keep. */
export function ViewChoice({ pane, onPane }: { pane: Pane; onPane: (pane: Pane) => void }) {
  const { shading, units, snapping, figureMm } = useView();
  const highestMm = usePlan((state) => state.report?.ground.highestMm ?? 0);
  const there = coversThere(usePlan((state) => state.report));
  const bands = bandsOf(shading, highestMm);
  const words = bandWords(bands, shading, units);
  return (
    <div className="mt-1 flex min-h-6 flex-wrap items-center gap-x-3 gap-y-1 text-xs">
      <Choice label="Plan or model" value={pane} options={panes} onValue={onPane} />
      {pane === 'plan' && (
        <>
          <Choice
            label="Shading of the plan"
            value={shading}
            options={shadings}
            onValue={(value: Shading) => useView.setState({ shading: value })}
          />
          {shading === 'standing' && (
            <Choice
              label="Base of the figure"
              value={`${figureMm}` as `${number}`}
              options={['25', '32', '40'] as `${number}`[]}
              onValue={(value) => useView.setState({ figureMm: Number(value) })}
            />
          )}
          <TickField label="Snap" value={snapping} onValue={(on) => useView.setState({ snapping: on })} />
        </>
      )}
      <BringIn />
      <HandOut pane={pane} />
      {pane === 'plan' && shading !== 'relief' && (
        <ul aria-label={`Key of the ${shading}`} className="flex flex-wrap gap-x-3 text-muted">
          {bands.map((band, k) =>
            shading === 'cover' && !there.has(words[k]) ? null : (
              <li key={words[k]} className="flex items-center gap-1">
                <Swatch band={band} />
                {words[k]}
              </li>
            ),
          )}
        </ul>
      )}
    </div>
  );
}
