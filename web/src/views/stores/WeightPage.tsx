import { type Advice, adviceOf, decimals, type PartRead, type PlanReport, sayHours, sayMinutes } from '@hosket/core';
import { useMemo } from 'react';
import { Bar, BarChart, CartesianGrid, Tooltip, XAxis, YAxis } from 'recharts';
import { useSize } from '../../instruments/handling/useSize.ts';
import { useProject } from '../../store/projectStore.ts';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';

/** Part by part what it weighs, costs and takes; what makes it heavy, dear and slow, and what would change that. */
export function WeightPage({ report }: { report: PlanReport }) {
  const project = useProject();
  const say = useSay();
  const { breakdown } = report;
  const priced = breakdown.some(({ money }) => money !== null);
  const advice = useMemo(
    () => adviceOf(project, { breakdown, layers: report.stack.layers, surfaces: report.surfaces }),
    [project, report, breakdown],
  );

  return (
    <div>
      <div className="grid grid-cols-2 gap-4 max-[999px]:grid-cols-1">
        <Bars title="Dry weight" unit="g" parts={breakdown} value={({ massG }) => massG.likely} />
        {priced ? (
          <Bars
            title="Cost, as far as it is priced"
            unit={project.currency}
            parts={breakdown}
            value={({ money }) => money ?? 0}
          />
        ) : (
          <p className="text-sm text-muted">
            Costs are drawn once sheets (Layers, Shed) or packs (Shopping list) have a price.
          </p>
        )}
      </div>
      <Table label="Weight, cost and time part by part">
        <Heads
          of={['Part', { number: 'Weighs' }, { number: 'Low to high' }, { number: 'Costs' }, { number: 'Hands-on' }]}
        />
        <tbody>
          {breakdown.map(({ part, massG, money, minutes }) => (
            <tr key={part}>
              <th scope="row">{partWords(part)}</th>
              <td className="number">{massG.likely > 0 && <Figure text={say.mass(massG.likely)} />}</td>
              <td className="number text-muted">
                {massG.likely > 0 && <Figure text={`${say.mass(massG.low)}–${say.mass(massG.high)}`} />}
              </td>
              <td className="number">
                {money !== null && <Figure text={`${decimals(money, 2)} ${project.currency}`} />}
              </td>
              <td className="number">{minutes > 0 && <Figure text={sayMinutes(minutes)} />}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {(['heavy', 'dear', 'slow'] as const).map((of) => (
        <Told key={of} of={of} advice={advice.filter((one) => one.of === of)} />
      ))}
    </div>
  );
}

const partWords = (part: string) => part[0].toUpperCase() + part.slice(1);
const titles: Record<Advice['of'], string> = {
  heavy: 'What makes it heavy',
  dear: 'What makes it dear',
  slow: 'What makes it slow',
};

function Told({ of, advice }: { of: Advice['of']; advice: readonly Advice[] }) {
  const { currency } = useProject();
  const say = useSay();
  if (!advice.length) return null;
  const amount = (value: number) =>
    of === 'heavy' ? say.mass(value) : of === 'dear' ? `${decimals(value, 2)} ${currency}` : sayHours(value);
  return (
    <section className="mt-3">
      <h2 className="text-base">{titles[of]}</h2>
      <ul aria-label={titles[of]} className="text-sm">
        {advice.map(({ part, value, sharePercent, instead }) => (
          <li key={part} className="border-b border-line py-1">
            <strong>{partWords(part)}</strong>: <Figure text={amount(value)} />
            {of !== 'slow' && ` (${decimals(sharePercent, 0)} % of it)`}
            {of === 'slow' && ' until it is dry'}
            {instead && (
              <span className="text-muted">
                . Instead: {instead.what}
                {instead.saves > 0 &&
                  `, ${amount(instead.saves)} ${of === 'heavy' ? 'lighter' : of === 'dear' ? 'cheaper' : 'sooner'}`}
                .
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

interface BarsProps {
  title: string;
  unit: string;
  parts: readonly PartRead[];
  value: (part: PartRead) => number;
}

function Bars({ title, unit, parts, value }: BarsProps) {
  const [room, width] = useSize();
  const data = parts
    .map((part) => ({ part: partWords(part.part), value: Math.round(value(part) * 100) / 100 }))
    .filter((one) => one.value > 0);
  const tall = 34 + 24 * data.length;
  return (
    <div
      ref={room}
      role="img"
      aria-label={`${title}: ${data.map(({ part, value: worth }) => `${part} ${worth} ${unit}`).join(', ')}`}
      className="min-w-0"
    >
      <p className="text-xs text-muted">
        {title}, {unit}
      </p>
      {width > 0 && (
        <BarChart
          width={width}
          height={tall}
          data={data}
          layout="vertical"
          margin={{ top: 4, right: 12, bottom: 4, left: 0 }}
        >
          <CartesianGrid stroke="var(--line)" horizontal={false} />
          <XAxis type="number" stroke="var(--muted)" fontSize={12} />
          <YAxis type="category" dataKey="part" stroke="var(--muted)" fontSize={12} width={64} />
          <Tooltip
            formatter={(worth) => [`${worth} ${unit}`, title]}
            contentStyle={{ background: 'var(--sheet)', border: '1px solid var(--line)' }}
            cursor={{ fill: 'var(--line)', fillOpacity: 0.4 }}
          />
          <Bar dataKey="value" fill="var(--foam-b)" stroke="var(--graphite)" isAnimationActive={false} />
        </BarChart>
      )}
    </div>
  );
}
