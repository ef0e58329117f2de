import { type PlanReport, sayClock, sayHours, sayMinutes, wallClock } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { Heads, Table } from '../../ui/Table.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { BenchHours } from './BenchHours.tsx';
import { Timeline } from './Timeline.tsx';

/** When is it dry, and when is it finished? */
export function DaysView() {
  const report = usePlan((state) => state.report);
  const project = useProject();
  const finish = report?.finish;
  return (
    <ViewFrame
      title="Days"
      answer={
        finish
          ? `Dry ${sayClock(finish.likely)}; ${project.limits.sureOf} % sure by ${sayClock(finish.sure)}. Between ${sayClock(finish.early)} and ${sayClock(finish.late)}. An estimate.`
          : report
            ? 'No day can be named until there are bench hours.'
            : 'Working out the days…'
      }
      sideTitle="Bench hours"
      side={<BenchHours />}
    >
      {report && report.tasks.length > 0 && (
        <>
          <Timeline report={report} />
          <TaskTable report={report} />
        </>
      )}
    </ViewFrame>
  );
}

function TaskTable({ report }: { report: PlanReport }) {
  const clock = (minutes: number) => sayClock(wallClock(report.startDate, minutes));
  const heads = ['Operation', 'At the bench', 'Hands-on', 'May be coated', 'Dry through'];
  return (
    <Table label="Operations">
      <Heads of={heads} />
      <tbody>
        {report.tasks.map((task) => {
          const operation = report.operations.find(({ id }) => id === task.operation);
          if (!operation) return null;
          const [first] = task.sessions;
          const { waits } = operation;
          return (
            <tr key={task.operation}>
              <th scope="row">{operation.title}</th>
              <td className="figure whitespace-nowrap">
                {clock(first.from)}
                {task.sessions.length > 1 && <span className="text-muted"> in {task.sessions.length} sittings</span>}
              </td>
              <td className="figure whitespace-nowrap">{sayMinutes(operation.handsOnMin.likely)}</td>
              <td className="figure whitespace-nowrap">
                {waits.coat.likely ? (
                  <>
                    {clock(task.coatAt)} <span className="block text-xs text-muted">{sayHours(waits.coat.likely)}</span>
                  </>
                ) : (
                  'at once'
                )}
              </td>
              <td className="figure whitespace-nowrap">
                {waits.through.likely ? (
                  <>
                    {clock(task.throughAt)}{' '}
                    <span className="block text-xs text-muted">{sayHours(waits.through.likely)}</span>
                  </>
                ) : (
                  'at once'
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
