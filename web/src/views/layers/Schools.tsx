import { type SchoolReport, type StackReport, sayClock, sayHours, sayMinutes } from '@hosket/core';
import { RadioGroup } from 'radix-ui';
import { edit, useProject } from '../../store/projectStore.ts';
import { Figure, useSay } from '../../ui/Figures.tsx';

const notes: Record<SchoolReport['school'], string> = {
  'carve back': 'layers stand proud, cut down to the line',
  halfway: 'a little carved, a little filled',
  'build up': 'layers stop inside, paste fills the steps',
};

/** "carve back: 18 min less, dry 5 days sooner than build up". */
function sayWay(way: StackReport['way']): string {
  if (way.by === 'builder') return 'You chose the way of building.';
  const minutes = Math.round(way.sparesMin);
  const days = Math.round(10 * way.soonerDays) / 10;
  const parts = [
    ...(minutes ? [`${sayMinutes(Math.abs(minutes))} ${minutes > 0 ? 'less' : 'more'} at the bench`] : []),
    ...(days
      ? [`dry ${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'sooner' : 'later'}`]
      : []),
  ];
  const than = `than ${way.against}`;
  return `The plan chose ${way.school}: ${parts.length ? `${parts.join(', ')} ${than}` : `as good as ${way.against}`}${way.near ? '; where two are near, carved back' : ''}.`;
}

/** Who chooses the way of building, with the reason. */
function WhoChooses({ stack }: { stack: StackReport }) {
  const { stacking } = useProject();
  const choose = (school: SchoolReport['school'] | null) =>
    edit((p) => ({ ...p, stacking: { ...p.stacking, school, wish: 'least cost' } }));
  return (
    <p className="mt-1 text-xs text-muted" data-testid="way">
      {stacking.wish !== 'least cost' || stack.byHand ? 'Built by hand or by a wish.' : sayWay(stack.way)}{' '}
      {stacking.school === null ? (
        <button type="button" className="cursor-pointer text-clay underline" onClick={() => choose(stack.school)}>
          Keep to it
        </button>
      ) : (
        <button type="button" className="cursor-pointer text-clay underline" onClick={() => choose(null)}>
          Let the plan choose
        </button>
      )}
    </p>
  );
}

/** The three schools side by side with the cheapest stack of each, one of them chosen. */
export function Schools({ schools, stack }: { schools: readonly SchoolReport[]; stack: StackReport }) {
  const say = useSay();
  return (
    <>
      <WhoChooses stack={stack} />
      <RadioGroup.Root
        aria-label="Way of building"
        value={stack.school}
        onValueChange={(school) =>
          edit((p) => ({
            ...p,
            stacking: { ...p.stacking, school: school as SchoolReport['school'], wish: 'least cost' },
          }))
        }
        className="mb-3 mt-2 grid shrink-0 grid-cols-3 border border-line bg-sheet max-[699px]:grid-cols-1"
      >
        {schools.map((school) => {
          const rows: [string, string][] = [
            ['layers', String(school.layers.length)],
            ['carve', say.volume(school.carveMl)],
            ['fill', say.volume(school.fillMl)],
            ['hands-on', sayMinutes(school.handsOnMin)],
            ['paste dry after', sayHours(school.pasteDryHours.likely)],
            ['dry base', school.finish ? sayClock(school.finish.likely) : 'no bench hours'],
          ];
          return (
            <RadioGroup.Item
              key={school.school}
              value={school.school}
              className="cursor-pointer border-l border-line border-t-[3px] border-t-transparent px-3 pb-1.5 pt-1 text-left first:border-l-0 data-[state=checked]:border-t-clay data-[state=unchecked]:bg-plaster/60"
            >
              <span className="flex items-baseline justify-between gap-2">
                <span className="font-head text-base font-semibold first-letter:uppercase">{school.school}</span>
                <span className="text-xs text-muted">{school.school === stack.school ? 'chosen' : 'choose'}</span>
              </span>
              <span className="mb-0.5 block text-xs text-muted">{notes[school.school]}</span>
              {rows.map(([name, value]) => (
                <span key={name} className="flex justify-between leading-[19px]">
                  <span>{name}</span>
                  <Figure text={value} />
                </span>
              ))}
            </RadioGroup.Item>
          );
        })}
      </RadioGroup.Root>
    </>
  );
}
