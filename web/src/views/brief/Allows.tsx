import { decimals, familiarSizes, formatScale, sayReal, sheetMm, sheetsWorth } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { LimitsRead } from './LimitsRead.tsx';

/** What the brief allows: the limits and how they are kept, the foam in the shed, the frame, the weight, sizes at the scale. */
export function Allows() {
  const project = useProject();
  const report = usePlan((state) => state.report);
  const say = useSay();
  const area = project.sheets.reduce((sum, sheet) => sum + sheet.count * sheet.widthMm * sheet.depthMm, 0);
  const highest = project.sheets.reduce((sum, sheet) => sum + sheet.count * sheetMm(sheet), 0);
  const worth = sheetsWorth(
    project,
    project.sheets.map(({ id, count }) => ({ sheetId: id, sheets: count })),
  );
  return (
    <>
      <Line name="Base">
        <span className="figure">{report ? say.area(report.ground.planMm2) : '…'}</span>
      </Line>
      <Line name="Foam in the shed">
        <span className="figure">{say.area(area)}</span>
      </Line>
      <Line name="All sheets stacked">
        <span className="figure">{say.mm(highest)}</span>
      </Line>
      {worth !== null && (
        <Line name="Worth, as priced">
          <span className="figure">
            {decimals(worth, 2)} {project.currency}
          </span>
        </Line>
      )}
      <Made />
      <LimitsRead />
      <Sizes />
    </>
  );
}

/** What the base comes to: its weight, the strips of its frame, the faces of its box. */
function Made() {
  const report = usePlan((state) => state.report);
  const say = useSay();
  if (!report) return null;
  const { mass, frame, fit } = report;
  const { low, likely, high } = mass.totalG;
  return (
    <>
      <Line name="Dry, about" remark={`${say.mass(low)} to ${say.mass(high)}; water not counted`}>
        <Figure text={say.mass(likely)} />
      </Line>
      <Line name="Tallest, board included">
        <Figure text={say.mm(fit.tallestMm)} />
      </Line>
      {fit.faces.map(({ name, areaMm2 }) => (
        <Line key={name} name={name}>
          <Figure text={say.area(areaMm2)} />
        </Line>
      ))}
      {frame && (
        <Line name="Frame to buy, before waste">
          <Figure text={say.mm(frame.lengthMm)} />
        </Line>
      )}
      {frame && frame.bentMm > 0 && (
        <p className="py-1 text-xs text-muted">One strip bent round, measured along its middle.</p>
      )}
      {frame && frame.pieces.length > 0 && frame.pieces.length <= 24 && (
        <Table label="Strips of the frame">
          <Heads of={['Strip', { number: 'long edge' }, { number: 'short edge' }, { number: 'saw at' }]} />
          <tbody>
            {frame.pieces.map((piece, k) => (
              <tr key={k}>
                <td>{k + 1}</td>
                <td className="figure number">{say.mm(Math.max(piece.outerMm, piece.innerMm))}</td>
                <td className="figure number">{say.mm(Math.min(piece.outerMm, piece.innerMm))}</td>
                <td className="figure number">{sawText(piece.startDegrees, piece.endDegrees)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </>
  );
}

const degrees = (angle: number) => `${Number(angle.toFixed(1))}°`;
const sawText = (start: number, end: number) =>
  Math.abs(start - end) < 0.05 ? degrees(start) : `${degrees(start)}, ${degrees(end)}`;

/** Familiar things at the scale, and at the scale of the distance. */
function Sizes() {
  const { scale, distance } = useProject();
  const say = useSay();
  if (!scale) return null;
  return (
    <Table label="Sizes at the scale">
      <Heads
        of={[
          'Real',
          { number: `at ${formatScale(scale)}` },
          ...(distance ? [{ number: `far, ${formatScale(distance.scale)}` }] : []),
        ]}
      />
      <tbody>
        {familiarSizes.map(({ name, realMm }) => (
          <tr key={name}>
            <td>
              {name} <span className="text-xs text-muted">{sayReal(realMm)}</span>
            </td>
            <td className="figure number">{say.mm(realMm / scale)}</td>
            {distance && <td className="figure number">{say.mm(realMm / distance.scale)}</td>}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
