import { decimals, deferral, type PlanReport, sayMinutes, thicknessOf } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { AmountLine, Figure, Line, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';

/** What the layout comes to: sheets, yield, waste, and how long each tool takes. */
export function CutTakeoff({ report }: { report: PlanReport }) {
  const { cutting, stack } = report;
  const { sheets } = useProject();
  const say = useSay();
  const stage = report.takeoff.find((each) => each.stage === 'cut');
  const nameOf = (id: string) => {
    const sheet = sheets.find((each) => each.id === id);
    return sheet ? `${sheet.name || id}, ${say.mm(thicknessOf(sheet))}` : id;
  };
  return (
    <>
      {stack.sheetsUsed.map(({ sheetId, sheets: count, toBuy }) => (
        <Line key={sheetId} name={nameOf(sheetId)} remark={toBuy ? `${toBuy} of them to buy` : undefined}>
          <Figure text={count ? `${count} ${count === 1 ? 'sheet' : 'sheets'}` : 'offcuts only'} />
        </Line>
      ))}
      <Line name="Pieces" remark="of the area of what they lie on">
        <Figure text={`${decimals(cutting.yieldPercent, 0)} %`} />
      </Line>
      <Line name="Offcuts left" remark="worth keeping">
        <Figure text={say.area(cutting.leftMm2)} />
      </Line>
      <Line name="Waste">
        <Figure text={say.area(cutting.wasteMm2)} />
      </Line>
      <h3 className="mt-3 text-sm">
        <Word>Cut length and minutes by tool</Word>
      </h3>
      {cutting.tools.map(({ tool, lengthMm, minutes }) => (
        <Line key={tool} name={tool} remark={say.mm(Math.round(lengthMm))}>
          <Figure text={sayMinutes(minutes.likely)} />
          <span className="figure block text-xs text-muted">
            ({sayMinutes(minutes.low)} to {sayMinutes(minutes.high)})
          </span>
        </Line>
      ))}
      {stage && <AmountLine name="Marking out and cutting" amount={stage.handsOn} />}
      {cutting.dropped.length > 0 && (
        <p className="mt-2 text-xs text-muted">
          Slivers left out: {cutting.dropped.map(({ layer, count }) => `${count} of layer ${layer}`).join(', ')}.
        </p>
      )}
      <Cautions of={stage?.cautions ?? []} />
      <p className="mt-1 text-xs text-muted">{deferral}</p>
    </>
  );
}
