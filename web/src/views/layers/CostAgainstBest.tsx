import { chooseAgain, decimals, type StackReport } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { useSay } from '../../ui/Figures.tsx';

/** What a stack settled by hand, pinned or wished for costs against the cheapest of its school. */
export function CostAgainstBest({ stack }: { stack: StackReport }) {
  const { stacking, stack: settled, currency } = useProject();
  const say = useSay();
  const pins = stack.pinned.filter(Boolean).length;
  if (!stack.byHand && !pins && stacking.wish === 'least cost') return null;
  const { totals, best, costMin } = stack;
  const dearer = Math.round(costMin - best.costMin);
  const parts: string[] = [];
  const differs = (value: number, least: number) => Math.abs(value) >= least;
  const signed = (value: number, text: (size: number) => string) => `${value > 0 ? '+' : '−'}${text(Math.abs(value))}`;
  const layers = totals.layers - best.totals.layers;
  if (layers) parts.push(`${signed(layers, String)} ${Math.abs(layers) === 1 ? 'layer' : 'layers'}`);
  const carve = totals.carveMl - best.totals.carveMl;
  if (differs(carve, 1)) parts.push(`${signed(carve, say.volume)} to carve`);
  const fill = totals.fillMl - best.totals.fillMl;
  if (differs(fill, 1)) parts.push(`${signed(fill, say.volume)} to fill`);
  const money = totals.bought - best.totals.bought;
  if (differs(money, 0.005)) parts.push(`${signed(money, (size) => decimals(size, 2))} ${currency} to buy`);
  const how = stack.byHand ? 'By hand' : pins ? `${pins} pinned` : `Chosen for ${stacking.wish}`;
  return (
    <div
      role="status"
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 border-l-[3px] border-ochre bg-sheet px-3 py-1 text-sm"
    >
      <span>
        <strong className="font-semibold">{how}:</strong>{' '}
        {dearer === 0 && !parts.length
          ? `as good as the cheapest of ${stack.school}.`
          : `${dearer >= 0 ? `${dearer} min more` : `${-dearer} min less`} than the cheapest of ${stack.school}${parts.length ? ` (${parts.join(', ')})` : ''}.`}
      </span>
      {stack.byHand && (
        <Button className="!min-h-6 text-xs" onClick={() => edit(chooseAgain)}>
          {settled.pinned.length ? 'Choose the rest round what is pinned' : 'Let Hosket choose again'}
        </Button>
      )}
      {!stack.byHand && pins > 0 && (
        <Button className="!min-h-6 text-xs" onClick={() => edit((p) => ({ ...p, stack: { ...p.stack, pinned: [] } }))}>
          Unpin all
        </Button>
      )}
      {!stack.byHand && stacking.wish !== 'least cost' && (
        <Button
          className="!min-h-6 text-xs"
          onClick={() => edit((p) => ({ ...p, stacking: { ...p.stacking, wish: 'least cost' } }))}
        >
          Back to the least cost
        </Button>
      )}
    </div>
  );
}
