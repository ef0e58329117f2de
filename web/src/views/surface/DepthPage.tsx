import type { PlanReport } from '@hosket/core';
import { CartesianGrid, Line as Curve, LineChart, ReferenceLine, Tooltip, XAxis, YAxis } from 'recharts';
import { useSize } from '../../instruments/handling/useSize.ts';
import { PlanView } from '../../instruments/plan/PlanView.tsx';
import { bandsOf, bandWords } from '../../instruments/plan/shading.ts';
import { Swatch } from '../../instruments/textures/Swatch.tsx';
import { showPlace, usePicked, useView } from '../../store/viewStore.ts';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';
import { zoneKeyOf } from './wearers.ts';

/** How deep fill and skin lie together: a map, a curve, and the deepest spot of each zone. */
export function DepthPage({ report }: { report: PlanReport }) {
  const say = useSay();
  const units = useView((view) => view.units);
  const bands = bandsOf('paste', report.ground.highestMm);
  const there = report.surfaces.filter(({ trueMm2 }) => trueMm2 > 1);
  return (
    <div>
      <p className="mb-2 text-sm text-muted">
        Depth is square to the surface, fill and skin together. It decides how many coats, and how long each zone dries.
      </p>
      <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,4fr)] gap-4 max-[999px]:grid-cols-1">
        <div>
          <div className="relative h-[270px] border border-line">
            <PlanView shading="paste" marks={false} />
          </div>
          <ul aria-label="Depth of paste by tint" className="mt-1 flex flex-wrap gap-x-3 text-xs">
            {bandWords(bands, 'paste', units).map((words, k) => (
              <li key={words} className="flex items-center gap-1">
                <Swatch band={bands[k]} /> {words}
              </li>
            ))}
          </ul>
        </div>
        <DepthCurve report={report} />
      </div>
      <Table>
        <Heads
          of={[
            'Zone',
            { number: 'Fill' },
            { number: 'Skin' },
            { number: '95 % no deeper than' },
            { number: 'Deepest spot' },
            '',
          ]}
        />
        <tbody>
          {there.map(({ id, name, fillMl, skinMl, most95Mm, deepestMm, deepestAt }) => (
            <tr key={zoneKeyOf(id)}>
              <th scope="row">{name}</th>
              <td className="number">
                <Figure text={say.volume(fillMl)} />
              </td>
              <td className="number">
                <Figure text={say.volume(skinMl)} />
              </td>
              <td className="number">
                <Figure text={say.mm(most95Mm)} />
              </td>
              <td className="number">
                <Figure text={say.mm(deepestMm)} />
              </td>
              <td className="number text-xs">
                {deepestAt && (
                  <button
                    type="button"
                    className="cursor-pointer text-clay underline"
                    onClick={() => showPlace(deepestAt)}
                  >
                    Show {say.mm(deepestAt[0])} right, {say.mm(deepestAt[1])} back
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </div>
  );
}

/** Share of the picked zone where paste is deeper than so much, and the limit of a coat. */
function DepthCurve({ report }: { report: PlanReport }) {
  const [room, width, height] = useSize();
  const key = usePicked((state) => state.zone);
  const zone =
    report.surfaces.find(({ id, trueMm2 }) => zoneKeyOf(id) === key && trueMm2 > 1) ??
    report.surfaces.find(({ trueMm2 }) => trueMm2 > 1);
  const points = (zone?.deeperThanPercent ?? []).map((percent, mm) => ({ mm, percent: Math.round(percent * 10) / 10 }));
  return (
    <div
      ref={room}
      role="img"
      aria-label={`${zone?.name ?? 'Nothing'}: share of the ground on which paste is deeper than so many millimetres. ${points.map(({ mm, percent }) => `${mm} mm: ${percent} %`).join(', ')}`}
      className="h-[300px] min-w-0"
    >
      {width > 0 && zone && (
        <>
          <p className="text-xs text-muted">{zone.name}: share of it where paste is deeper than</p>
          <LineChart
            width={width}
            height={height - 20}
            data={points}
            margin={{ top: 8, right: 14, bottom: 18, left: 0 }}
          >
            <CartesianGrid stroke="var(--line)" />
            <XAxis
              dataKey="mm"
              type="number"
              stroke="var(--muted)"
              fontSize={12}
              label={{ value: 'mm deep', position: 'insideBottom', offset: -10, fill: 'var(--muted)', fontSize: 12 }}
            />
            <YAxis unit=" %" domain={[0, 100]} stroke="var(--muted)" fontSize={12} width={48} />
            <Tooltip
              formatter={(value) => [`${value} %`, 'deeper']}
              labelFormatter={(mm) => `${mm} mm`}
              contentStyle={{ background: 'var(--sheet)', border: '1px solid var(--line)' }}
            />
            <ReferenceLine x={zone.most95Mm} stroke="var(--clay)" strokeDasharray="4 3" />
            <Curve dataKey="percent" stroke="var(--graphite)" dot={false} strokeWidth={2} isAnimationActive={false} />
          </LineChart>
        </>
      )}
    </div>
  );
}
