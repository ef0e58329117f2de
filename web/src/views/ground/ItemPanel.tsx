import { type Item, isLandform, kindWords, sayTolerance, sayWork } from '@hosket/core';
import { Check } from 'lucide-react';
import { pickItem, useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { chosenSchool, usePlan } from '../../worker/planStore.ts';
import { FindingItem } from '../FindingItem.tsx';
import { ItemEffect } from './ItemEffect.tsx';
import { ItemFields } from './ItemFields.tsx';
import { ItemPoints } from './ItemPoints.tsx';
import { SelectionTools } from './SelectionTools.tsx';

/** The picked thing's few parameters over its effect. */
export function ItemPanel({ item }: { item: Item }) {
  const report = usePlan((state) => state.report);
  const say = useSay();
  const units = useView((view) => view.units);
  const levels = report ? chosenSchool(report).levels.filter((row) => row.itemId === item.id) : [];
  // Those of the ground stand over the panel already.
  const elsewhere = report?.findings.filter(({ itemId, band }) => itemId === item.id && band !== 'ground') ?? [];
  const built = report?.landforms.find(({ id }) => id === item.id);
  return (
    <>
      <p className="mb-2 text-xs text-muted">
        {kindWords[item.kind].title}
        {isLandform(item) ? `. ${kindWords[item.kind].about}` : ''}
      </p>
      {elsewhere.length > 0 && (
        <ul aria-label="Findings of this thing">
          {elsewhere.map((finding) => (
            <FindingItem key={`${finding.code} ${finding.message}`} finding={finding} />
          ))}
        </ul>
      )}
      <ItemFields item={item} built={built} />
      <div className="mb-4 flex flex-wrap gap-1.5">
        <Button onClick={() => pickItem(null)}>
          <Check size={14} aria-hidden /> Done
        </Button>
        <SelectionTools items={[item]} />
      </div>
      <ItemEffect item={item} />
      {levels.length > 0 && (
        <div className="mb-4">
          <h3 className="text-sm text-muted">What it means for the foam</h3>
          {levels.map((level) => (
            <div key={level.name} className="mb-2">
              <Line name="Finished height" remark={levels.length > 1 ? level.name.replace(/^.*, /, '') : undefined}>
                <Figure text={say.mm(level.wantedMm)} />
              </Line>
              <Line name="Bare foam wanted" remark="under the skin">
                <Figure text={say.mm(level.targetMm)} />
              </Line>
              <Line name="Foam there" remark={sayWork(level, say.mm)}>
                <Figure text={say.mm(level.foamThereMm)} />
              </Line>
              <Line
                name="The joint may lie off by"
                remark={`${sayTolerance(level.errorWorst, units)} if all sheets err alike`}
              >
                <Figure text={sayTolerance(level.errorMixed, units)} />
              </Line>
            </div>
          ))}
        </div>
      )}
      <ItemPoints item={item} />
    </>
  );
}
