import { decimals, type Item, type PlanReport, sayGradient } from '@hosket/core';
import { lookAt } from '../../instruments/handling/panZoom.ts';
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
            <Lead
              text={say.mm(room.roomMm)}
              onLead={() => {
                showPlace(room.at);
                lookAt(room.at);
              }}
            />
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
        <Line name={stood.deckId === null ? 'Ground under it' : 'Deck under it'}>
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
  const hollow = report?.voids.find(({ id }) => id === item.id);
  if (hollow) return <HollowEffect hollow={hollow} />;
  const zone = report?.zones.find(({ id }) => id === item.id);
  if (zone)
    return (
      <Effect title="What it covers">
        <Line name="From above" remark={`${decimals(zone.percent, 1)} % of the base`}>
          <Figure text={say.area(zone.planMm2)} />
        </Line>
        <Line name="Along the slope">
          <Figure text={say.area(zone.trueMm2)} />
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
          <Figure text={`${decimals(Math.abs(built.gradientPercent), 1)} %`} />
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
        <Figure text={`${decimals(built.steepestDegrees, 0)}°`} />
      </Line>
    </Effect>
  );
}

type HollowRead = PlanReport['voids'][number];

/** How a void lies in the ground: its roof, its openings, where a cable comes out. */
function HollowEffect({ hollow }: { hollow: HollowRead }) {
  const say = useSay();
  const lead = (at: readonly [number, number]) => {
    showPlace(at);
    lookAt(at);
  };
  return (
    <Effect title="How it lies in the ground">
      <Line name="Hollow">
        <Figure text={say.volume(hollow.volumeMl)} />
      </Line>
      {hollow.floorMm !== null && hollow.roofMm !== null && (
        <Line
          name="From floor to roof"
          remark={`${say.mm(hollow.floorMm)} to ${say.mm(hollow.roofMm)} above the board`}
        >
          <Figure text={say.mm(hollow.roofMm - hollow.floorMm)} />
        </Line>
      )}
      {hollow.thinnestMm !== null && hollow.thinnestAt && (
        <Line name="Thinnest roof">
          <Lead text={say.mm(hollow.thinnestMm)} onLead={() => hollow.thinnestAt && lead(hollow.thinnestAt)} />
        </Line>
      )}
      {hollow.openings.map(({ at, acrossMm }) => (
        <Line key={at.join()} name="Opens on the ground" remark="across">
          <Lead text={say.mm(acrossMm)} onLead={() => lead(at)} />
        </Line>
      ))}
      {hollow.ends.map(({ at, where }, k) => (
        <Line key={at.join()} name={k ? 'Its end' : 'Its start'}>
          <Lead text={where} onLead={() => lead(at)} />
        </Line>
      ))}
    </Effect>
  );
}

function Lead({ text, onLead }: { text: string; onLead: () => void }) {
  return (
    <button type="button" className="cursor-pointer underline decoration-line underline-offset-2" onClick={onLead}>
      <Figure text={text} />
    </button>
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
