import { decimals, type Point, sayGradient } from '@hosket/core';
import { lookAt } from '../../instruments/handling/panZoom.ts';
import { pickItem, showPlace, useView } from '../../store/viewStore.ts';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { usePlan } from '../../worker/planStore.ts';

const leadTo = (at: Point) => {
  showPlace(at);
  lookAt(at);
};

/** More low points than this are hardly looked at one by one. */
const MOST_POOLS = 8;

/** What the ground comes to, and lists that lead to places: highest and lowest, ways against their limits, decks, low points that would hold water. */
export function Places() {
  const report = usePlan((state) => state.report);
  const say = useSay();
  if (!report) return null;
  const { ground, landforms, spans, judgements } = report;
  const ways = landforms.filter(
    ({ limitPercent, gradientPercent }) => limitPercent !== null && gradientPercent !== null,
  );
  return (
    <>
      <h2 className="mb-1 text-base">
        <Word>The ground</Word>
      </h2>
      <Lead name="Highest" to={() => leadTo(ground.highestAt)} text={say.mm(ground.highestMm)} />
      <Lead name="Lowest" to={() => leadTo(ground.lowestAt)} text={say.mm(ground.lowestMm)} />
      <Line name="Plan area">
        <Figure text={say.area(ground.planMm2)} />
      </Line>
      <Line name="True surface" remark={`mean slope ${decimals(ground.meanSlopeDegrees, 0)}°`}>
        <Figure text={say.area(ground.trueMm2)} />
      </Line>
      <Line name="Volume">
        <Figure text={say.volume(ground.volumeMl)} />
      </Line>
      <Line name="Worked out on" remark="chosen for the size of the base">
        <Figure text={`${ground.cellMm} mm cells`} />
      </Line>
      {ways.length > 0 && (
        <List title="Gradients of ways">
          {ways.map(({ id, name, gradientPercent, limitPercent }) => {
            const percent = Math.abs(gradientPercent ?? 0);
            const over = percent > (limitPercent ?? 0) + 1e-6;
            return (
              <Lead
                key={id}
                name={name}
                remark={`${sayGradient(percent / 100)}, at most ${limitPercent} %${over ? ': too steep' : ''}`}
                to={() => pickItem(id)}
                text={`${decimals(percent, 1)} %`}
              />
            );
          })}
        </List>
      )}
      {spans.length > 0 && (
        <List title="Room under spans">
          {spans.flatMap(({ id, name, rooms, wantedMm }) =>
            rooms.slice(0, 2).map((room) => (
              <Lead
                key={`${id} ${room.over}`}
                name={name}
                remark={`over ${room.over}${room.roomMm < wantedMm ? `: ${say.mm(wantedMm)} wanted` : ''}`}
                to={() => {
                  pickItem(id);
                  leadTo(room.at);
                }}
                text={say.mm(room.roomMm)}
              />
            )),
          )}
        </List>
      )}
      <List title="Where a figure stands">
        {judgements.standing.map(({ baseMm, percent }) => (
          <Lead
            key={baseMm}
            name={`on a ${baseMm} mm base`}
            to={() => useView.setState({ shading: 'standing', figureMm: baseMm })}
            text={`${decimals(percent, 0)} %`}
          />
        ))}
        {judgements.figures.map(({ id, name, tiltDegrees, stands }) => (
          <Lead
            key={id}
            name={name}
            remark={stands ? 'stands' : 'does not stand'}
            to={() => pickItem(id)}
            text={tiltDegrees === null ? 'over the edge' : `${decimals(tiltDegrees, 0)}°`}
          />
        ))}
      </List>
      {judgements.houses.length > 0 && (
        <List title="Houses and their ways">
          {judgements.houses.map(({ id, name, wayMm, reached }) => (
            <Lead
              key={id}
              name={name}
              remark={reached ? 'reached' : 'no way leads to it'}
              to={() => pickItem(id)}
              text={wayMm === null ? 'none' : say.mm(wayMm)}
            />
          ))}
        </List>
      )}
      <List title="Low points that would hold water">
        {ground.pools.length === 0 && <p className="text-sm text-muted">None: water runs off everywhere.</p>}
        {ground.pools.slice(0, MOST_POOLS).map((pool) => (
          <Lead
            key={pool.at.join(' ')}
            name={`${Math.round(pool.at[0])}, ${Math.round(pool.at[1])}`}
            remark={`${say.mm(pool.depthMm)} deep, would spill at ${say.mm(pool.spillMm)}`}
            to={() => leadTo(pool.at)}
            text={say.volume(pool.volumeMl)}
          />
        ))}
        {ground.pools.length > MOST_POOLS && (
          <p className="text-xs text-muted">and {ground.pools.length - MOST_POOLS} smaller ones</p>
        )}
      </List>
    </>
  );
}

function List({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="mt-3" aria-label={title}>
      <h3 className="text-sm text-muted">
        <Word>{title}</Word>
      </h3>
      {children}
    </section>
  );
}

function Lead({ name, remark, text, to }: { name: string; remark?: string; text: string; to: () => void }) {
  return (
    <button
      type="button"
      className="flex w-full cursor-pointer items-baseline justify-between gap-3 border-b border-line py-1 text-left hover:text-clay"
      onClick={to}
    >
      <span className="min-w-0">
        {name}
        {remark && <span className="block text-xs text-muted">{remark}</span>}
      </span>
      <Figure text={text} />
    </button>
  );
}
