import { type Project, sayMinutes, type Weekday } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, ReadField } from '../../ui/Field.tsx';
import { Figure, Line } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Table } from '../../ui/Table.tsx';
import { usePlan } from '../../worker/planStore.ts';

const weekdays: readonly Weekday[] = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
type Bench = Project['bench'];
const change = (next: Partial<Bench>) => edit((p) => ({ ...p, bench: { ...p.bench, ...next } }));

const clock = (text: string): string | null => {
  const match = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(text.trim());
  if (!match || Number(match[1]) > 24 || Number(match[2] ?? 0) > 59 || (match[1] === '24' && Number(match[2] ?? 0) > 0))
    return null;
  return `${match[1].padStart(2, '0')}:${match[2] ?? '00'}`;
};

/** A start that lies behind is said: all days are counted from it. */
function PastStart({ startDate }: { startDate: string }) {
  const today = new Date().toISOString().slice(0, 10);
  if (startDate >= today) return null;
  const days = Math.round((Date.parse(today) - Date.parse(startDate)) / 86_400_000);
  return (
    <p className="mt-1 text-xs text-plum">
      The start lies {days} {days === 1 ? 'day' : 'days'} back: every day here is counted from it. Set it to today for
      what is still to do.
    </p>
  );
}

/** The builder's week: when the hands are free. */
export function BenchHours() {
  const { bench } = useProject();
  const report = usePlan((state) => state.report);
  const handsOn = report?.operations.reduce((sum, operation) => sum + operation.handsOnMin.likely, 0) ?? 0;
  return (
    <>
      <ReadField
        label="Start"
        type="date"
        text={bench.startDate}
        read={(text) =>
          /^\d{4}-\d{2}-\d{2}$/.test(text)
            ? { ok: true, value: text }
            : { ok: false, why: 'Write the date like 2027-03-15.' }
        }
        onValue={(startDate) => change({ startDate })}
      />
      <PastStart startDate={bench.startDate} />
      <div className="my-3">
        <Table label="Hours of the week">
          <tbody>
            {weekdays.map((day) => (
              <DayRow key={day} day={day} bench={bench} />
            ))}
          </tbody>
        </Table>
      </div>
      <ChoiceField
        label="Hands"
        value={bench.skill}
        options={['first-timer', 'practised', 'experienced']}
        onValue={(skill) => change({ skill })}
      />
      <div className="mt-3">
        <Line name="At the bench in all">
          <Figure text={sayMinutes(handsOn)} />
        </Line>
      </div>
      <p className="mt-2 text-xs text-muted">
        Waits run day and night; work only in these hours. Write a day as 19:00–21:30, or leave it empty.
      </p>
    </>
  );
}

function DayRow({ day, bench }: { day: Weekday; bench: Bench }) {
  const sitting = bench.week[day];
  return (
    <tr>
      <th scope="row" className="first-letter:uppercase">
        <Word of={`Hours on ${day}`}>{day}</Word>
      </th>
      <td>
        <ReadField
          hideLabel
          narrow
          label={`Hours on ${day}`}
          text={sitting ? `${sitting.from}–${sitting.to}` : ''}
          read={(text) => {
            if (!text.trim()) return { ok: true, value: null };
            const [from, to] = text.split(/\s*(?:–|-|to)\s*/).map(clock);
            if (!from || !to) return { ok: false, why: 'Write it like 19:00–21:30.' };
            return from < to
              ? { ok: true, value: { from, to } }
              : { ok: false, why: 'The end must come after the start.' };
          }}
          onValue={(value: Bench['week'][Weekday]) => change({ week: { ...bench.week, [day]: value } })}
        />
      </td>
    </tr>
  );
}
