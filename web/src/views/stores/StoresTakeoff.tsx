import { decimals, fieldLimits, type PlanReport, sayMinutes } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';

/** Weight against its limit, cost, time, and how the finished piece stands. */
export function StoresTakeoff({ report }: { report: PlanReport }) {
  const { limits, currency, support } = useProject();
  const say = useSay();
  const { balance, breakdown, mass } = report;
  const used = breakdown.flatMap(({ money }) => (money === null ? [] : [money]));
  const limit = (text: string | null) => text && <span className="block text-xs text-muted">at most {text}</span>;
  const change = (next: Partial<typeof support>) => edit((p) => ({ ...p, support: { ...p.support, ...next } }));
  return (
    <div className="text-sm">
      <Line name="Weighs when dry" remark={`${say.mass(mass.totalG.low)} to ${say.mass(mass.totalG.high)}`}>
        <Figure text={say.mass(mass.totalG.likely)} />
        {limit(limits.weightG === null ? null : say.mass(limits.weightG))}
      </Line>
      <Line name="What is used of it costs" remark="as far as it is priced">
        <Figure
          text={
            used.length
              ? `${decimals(
                  used.reduce((sum, one) => sum + one, 0),
                  2,
                )} ${currency}`
              : 'no prices yet'
          }
        />
        {limit(limits.cost === null ? null : `${limits.cost} ${currency}`)}
      </Line>
      <Line name="Hands-on">
        <Figure text={sayMinutes(breakdown.reduce((sum, { minutes }) => sum + minutes, 0))} />
        {limit(limits.benchHours === null ? null : `${limits.benchHours} h`)}
      </Line>
      <h3 className="mt-4 mb-1 text-sm font-semibold">
        <Word>How it stands</Word>
      </h3>
      <ChoiceField
        label="On"
        value={support.on}
        options={['its board', 'a plinth', 'a wall'] as const}
        onValue={(on) => change({ on })}
      />
      {support.on === 'a plinth' && (
        <div className="mt-2 grid grid-cols-2 gap-2">
          <MeasureField
            label="Plinth, wide"
            value={support.plinth.widthMm}
            {...fieldLimits('support.plinth.widthMm')}
            onValue={(widthMm) => change({ plinth: { ...support.plinth, widthMm } })}
          />
          <MeasureField
            label="Plinth, deep"
            value={support.plinth.depthMm}
            {...fieldLimits('support.plinth.depthMm')}
            onValue={(depthMm) => change({ plinth: { ...support.plinth, depthMm } })}
          />
        </div>
      )}
      {support.on === 'a wall' ? (
        <div className="mt-2 grid grid-cols-2 gap-2">
          <MeasureField
            label="Hooks, apart"
            value={support.hooks.apartMm}
            {...fieldLimits('support.hooks.apartMm')}
            onValue={(apartMm) => change({ hooks: { ...support.hooks, apartMm } })}
          />
          <MeasureField
            label="Hooks, over the lower edge"
            value={support.hooks.upMm}
            {...fieldLimits('support.hooks.upMm')}
            onValue={(upMm) => change({ hooks: { ...support.hooks, upMm } })}
          />
        </div>
      ) : (
        <div className="mt-2">
          <NumberField
            label="May be tilted by"
            unit="°"
            value={support.leastTipDegrees}
            {...fieldLimits('support.leastTipDegrees')}
            onValue={(leastTipDegrees) => change({ leastTipDegrees })}
          />
        </div>
      )}
      {balance && (
        <div className="mt-2">
          <Line name="Centre of gravity" remark="from the front left corner, under the board">
            {(['right', 'back', 'up'] as const).map((way, k) => (
              <span key={way} className="block">
                <Figure text={say.mm(balance.at[k])} /> <span className="text-xs text-muted">{way}</span>
              </span>
            ))}
          </Line>
          {balance.tip && (
            <Line
              name={`Falls to the ${balance.tip.towards} when tilted`}
              remark={balance.safe ? 'stands safely' : 'too easily'}
            >
              <Figure text={`${decimals(balance.tip.degrees, 0)}°`} />
            </Line>
          )}
          {balance.hooks && (
            <>
              <Line name="Each of two hooks carries">
                <Figure text={`${decimals(balance.hooks.carriesN, 1)} N`} />
              </Line>
              <Line
                name="and is pulled out by"
                remark="take hooks rated for several times that, and follow their maker"
              >
                <Figure text={`${decimals(balance.hooks.pulledN, 1)} N`} />
              </Line>
            </>
          )}
        </div>
      )}
    </div>
  );
}
