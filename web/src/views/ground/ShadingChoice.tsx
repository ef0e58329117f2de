import { ToggleGroup } from 'radix-ui';
import { bandsOf, bandWords, type Shading, shadings } from '../../instruments/shading.ts';
import { useView } from '../../store/viewStore.ts';
import { usePlan } from '../../worker/planStore.ts';

/** What the plan's tint tells, with its key beside the choice. */
export function ShadingChoice() {
  const { shading, units } = useView();
  const highestMm = usePlan((state) => state.report?.ground.highestMm ?? 0);
  const bands = bandsOf(shading, highestMm);
  const words = bandWords(bands, shading, units);
  return (
    <div className="mt-1 flex min-h-6 flex-wrap items-center gap-x-3 gap-y-1 text-xs">
      <ToggleGroup.Root
        type="single"
        aria-label="Shading of the plan"
        value={shading}
        onValueChange={(value) => value && useView.setState({ shading: value as Shading })}
        className="flex gap-1"
      >
        {shadings.map((name) => (
          <ToggleGroup.Item
            key={name}
            value={name}
            className="min-h-6 cursor-pointer rounded-md border border-transparent px-2 hover:border-line data-[state=on]:border-clay data-[state=on]:bg-sheet"
          >
            {name}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {shading !== 'relief' && (
        <ul aria-label={`Key of the ${shading}`} className="flex flex-wrap gap-x-3 text-muted">
          {bands.map(({ tint }, k) => (
            <li key={words[k]} className="flex items-center gap-1">
              <svg width="16" height="11" aria-hidden="true">
                <rect x="0.5" y="0.5" width="15" height="10" fill={`rgb(${tint.join(' ')})`} stroke="var(--muted)" />
              </svg>
              {words[k]}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
