import { type Item, sayGradient } from '@hosket/core';
import { lookAt } from '../../instruments/panZoom.ts';
import { showPlace } from '../../store/viewStore.ts';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';

/** What the picked thing does: ground cut and put on, its slope; room under a deck; how a laid-in thing stands. */
export function ItemEffect({ item }: { item: Item }) {
  const report = usePlan((state) => state.report);
  const say = useSay();
  const built = report?.landforms.find(({ id }) => id === item.id);
  const span = report?.spans.find(({ id }) => id === item.id);
  const laid = report?.laid.find(({ id }) => id === item.id);
  if (span)
    return (
      <Effect title="Room under it">
        {span.rooms.map((room) => (
          <Line
            key={room.over}
            name={`over ${room.over}`}
            remark={room.roomMm < span.wantedMm ? `${say.mm(span.wantedMm)} wanted` : undefined}
          >
            <button
              type="button"
              className="cursor-pointer underline decoration-line underline-offset-2"
              onClick={() => {
                showPlace(room.at);
                lookAt(room.at);
              }}
            >
              <Figure text={say.mm(room.roomMm)} />
            </button>
          </Line>
        ))}
        <Line name="Deck" remark={`${say.mm(span.fromMm)} to ${say.mm(span.toMm)}`}>
          <Figure text={say.mm(span.lengthMm)} />
        </Line>
      </Effect>
    );
  if (laid)
    return (
      <Effect title="How it stands">
        <Line name="Ground under it" remark={`rises ${say.mm(laid.unevenMm)} from side to side`}>
          <Figure text={say.mm(laid.groundMm)} />
        </Line>
        <Line name="Underside">
          <Figure text={say.mm(laid.undersideMm)} />
        </Line>
        <Line name="Top">
          <Figure text={say.mm(laid.topMm)} />
        </Line>
        <Line name="Takes the place of foam">
          <Figure text={say.volume(laid.foamMl)} />
        </Line>
        <Line name="and of skin">
          <Figure text={say.volume(laid.skinMl)} />
        </Line>
        <Line name="Weighs" remark={`${say.mass(laid.massG.low)} to ${say.mass(laid.massG.high)}`}>
          <Figure text={say.mass(laid.massG.likely)} />
        </Line>
      </Effect>
    );
  const stood = report?.fit.things.find(({ id }) => id === item.id);
  if (stood)
    return (
      <Effect title="How it stands">
        <Line name="Ground under it">
          <Figure text={stood.groundMm === null ? 'beside the base' : say.mm(stood.groundMm)} />
        </Line>
        <Line name="Underside">
          <Figure text={say.mm(stood.bottomMm)} />
        </Line>
        <Line name="Top" remark={report?.fit.room ? `the box ends at ${say.mm(report.fit.room.topMm)}` : undefined}>
          <Figure text={say.mm(stood.topMm)} />
        </Line>
      </Effect>
    );
  if (!built || item.kind === 'cliff') return null;
  return (
    <Effect title="What it does to the ground">
      {built.gradientPercent !== null && built.lengthMm !== null && (
        <Line
          name="Gradient"
          remark={`${sayGradient(built.gradientPercent / 100)} over ${say.mm(built.lengthMm)}${built.limitPercent === null ? '' : `, at most ${built.limitPercent} %`}`}
        >
          <Figure text={`${Math.abs(built.gradientPercent).toFixed(1)} %`} />
        </Line>
      )}
      <Line name="Ground changed">
        <Figure text={say.area(built.areaMm2)} />
      </Line>
      <Line name="Taken away">
        <Figure text={say.volume(built.cutMl)} />
      </Line>
      <Line name="Put on">
        <Figure text={say.volume(built.fillMl)} />
      </Line>
      <Line name="Steepest of it">
        <Figure text={`${built.steepestDegrees.toFixed(0)}°`} />
      </Line>
    </Effect>
  );
}

function Effect({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <div className="mb-4">
      <h3 className="text-sm text-muted">{title}</h3>
      {children}
    </div>
  );
}
