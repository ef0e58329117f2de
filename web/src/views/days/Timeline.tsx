import { type PlanReport, sayDate, wallClock } from '@hosket/core';
import { useSize } from '../../instruments/handling/useSize.ts';

const ROW = 24;
const NAMES = 210;
const TOP = 30;
const DAY = 1440;

/** The days as columns: what is worked as solid blocks, what dries as lines beneath, each until the next may begin and until dry through. */
export function Timeline({ report }: { report: PlanReport }) {
  const [room, width] = useSize();
  const { tasks, operations } = report;
  const first = Math.floor(Math.min(...tasks.map((task) => task.sessions[0].from)) / DAY) * DAY;
  const last = Math.ceil(Math.max(...tasks.map((task) => task.throughAt)) / DAY) * DAY;
  const days = Math.max(1, (last - first) / DAY);
  const perDay = (width - NAMES - 8) / days;
  const x = (minutes: number) => NAMES + ((minutes - first) / DAY) * perDay;
  const every = Math.ceil(46 / Math.max(perDay, 0.01));
  const height = TOP + tasks.length * ROW + 6;
  return (
    <div ref={room} className="border border-line bg-sheet px-2 py-1">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`Calendar of ${Math.round(days)} days; the table below gives the same times`}
        >
          {Array.from({ length: days + 1 }, (_, d) => (
            <g key={d}>
              <line
                x1={x(first + d * DAY)}
                x2={x(first + d * DAY)}
                y1={TOP - 8}
                y2={height}
                stroke="var(--line)"
                strokeWidth={0.7}
              />
              {d % every === 0 && d < days && (
                <text x={x(first + d * DAY) + 3} y={14} fontSize={11} fill="var(--muted)">
                  {sayDate(wallClock(report.startDate, first + d * DAY), {
                    day: 'numeric',
                    ...(every === 1 && perDay < 62 ? { weekday: 'short' } : { month: 'short' }),
                  })}
                </text>
              )}
            </g>
          ))}
          {tasks.map((task, k) => {
            const y = TOP + k * ROW;
            const title = operations.find(({ id }) => id === task.operation)?.title ?? '';
            const end = task.sessions[task.sessions.length - 1].to;
            return (
              <g key={task.operation}>
                <text x={0} y={y + 12} fontSize={12.5} fill="var(--graphite)">
                  {title.length > 33 ? `${title.slice(0, 32)}…` : title}
                </text>
                {task.throughAt > end && (
                  <line
                    x1={x(end)}
                    x2={x(task.throughAt)}
                    y1={y + 8}
                    y2={y + 8}
                    stroke="var(--ochre)"
                    strokeWidth={1.5}
                    strokeDasharray="2 3"
                  />
                )}
                {task.coatAt > end && (
                  <line x1={x(end)} x2={x(task.coatAt)} y1={y + 8} y2={y + 8} stroke="var(--ochre)" strokeWidth={3.5} />
                )}
                {task.sessions.map((session) => (
                  <rect
                    key={session.from}
                    x={x(session.from)}
                    y={y + 1}
                    width={Math.max(3, x(session.to) - x(session.from))}
                    height={14}
                    fill="var(--clay)"
                  />
                ))}
              </g>
            );
          })}
        </svg>
      )}
      <p className="text-xs text-muted">
        Block: at the bench. Thick line: until the next may go on. Dotted: until dry through.
      </p>
    </div>
  );
}
