import type { StackReport } from '@hosket/core';
import { decimals } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { pickItem, pickLayer, usePicked } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { useSize } from '../handling/useSize.ts';
import { spreadApart } from './spread.ts';

const TOP = 22;
const STACK = { left: 48, width: 78 };

const shortened = (text: string, letters: number) => (text.length > letters ? `${text.slice(0, letters - 1)}…` : text);

/** A level's name in so many letters; which of its heights it is stays whole. */
function levelText({ name, part, itemId }: StackReport['levels'][number], letters: number): string {
  if (!part || name.length <= letters) return shortened(name || itemId, letters);
  const of = name.slice(0, -part.length - 2);
  return `${shortened(of, Math.max(3, letters - part.length - 1))} ${part}`;
}

/** The stack from the side, its joints at the left, and at the right what each wanted height asks for. */
export function StackElevation({ stack }: { stack: StackReport }) {
  const { sheets } = useProject();
  const picked = usePicked((state) => state.layer);
  const [room, width, height] = useSize();
  const say = useSay();
  const { layers, levels, pinned } = stack;
  const tallest = Math.max(10, stack.topMm, ...levels.map((level) => level.targetMm));
  // Rows close up before the drawing has to scroll.
  const row = Math.min(19, Math.max(13.5, (height - TOP - 12) / Math.max(1, levels.length)));
  const high = Math.max(height - 4, levels.length * row + TOP + 8, 180);
  const floor = high - 14;
  const scale = (floor - TOP) / tallest;
  const up = (mm: number) => floor - mm * scale;
  const joints = [0, ...layers.map((layer) => layer.topMm)];
  const jointY = spreadApart(joints.map(up), 13, TOP, floor);
  const levelY = spreadApart(
    levels.map((level) => up(level.targetMm)),
    row,
    TOP + 4,
    floor + 2,
  );
  const names = STACK.left + STACK.width + 38;
  const end = width - 4;
  const letters = Math.max(5, Math.floor((end - 136 - names) / 6.4));
  const unit = say.mm(1).replace(/^[\d./ ]+/, '');
  const short = (mm: number) => say.mm(mm).replace(/ (mm|in)$/, '');
  return (
    <div ref={room} data-drawing className="h-full min-h-0 overflow-y-auto overflow-x-hidden">
      {width > 0 && (
        <svg width={width} height={high} role="group" aria-label="The stack of sheets and the heights wanted">
          <g fontSize={11} fill="var(--muted)">
            <text x={STACK.left} y={12}>
              stack
            </text>
            <text x={end - 92} y={12} textAnchor="end">
              foam wanted
            </text>
            <text x={end} y={12} textAnchor="end">
              to do, {unit}
            </text>
          </g>
          <rect x={STACK.left - 6} y={floor} width={STACK.width + 12} height={9} fill="var(--board)" />
          {layers.map((layer) => {
            const y = up(layer.topMm);
            const thick = (layer.topMm - layer.bottomMm) * scale;
            const isPicked = layer.index === picked;
            const sheet = sheets.find(({ id }) => id === layer.sheetId);
            const toggle = () => pickLayer(isPicked ? null : layer.index);
            return (
              <g
                key={layer.index}
                role="button"
                tabIndex={0}
                aria-pressed={isPicked}
                aria-label={`Layer ${layer.index}, ${sheet?.name ?? 'sheet'}, ${say.mm(layer.bottomMm)} to ${say.mm(layer.topMm)}, ${say.area(layer.areaMm2)}${pinned[layer.index - 1] ? ', pinned' : ''}`}
                className="cursor-pointer"
                onClick={toggle}
                onKeyDown={(event) => {
                  if (event.key !== 'Enter' && event.key !== ' ') return;
                  event.preventDefault();
                  toggle();
                }}
              >
                <rect
                  x={STACK.left}
                  y={y}
                  width={STACK.width}
                  height={thick}
                  fill={layer.index % 2 ? 'var(--foam-a)' : 'var(--foam-b)'}
                  stroke={isPicked ? 'var(--clay)' : 'var(--muted)'}
                  strokeWidth={isPicked ? 2.5 : 0.8}
                />
                {thick > 13 && (
                  <text
                    x={STACK.left + STACK.width / 2}
                    y={y + thick / 2 + 4}
                    textAnchor="middle"
                    fontSize={12}
                    fill="var(--graphite)"
                    strokeWidth={0}
                  >
                    <tspan fontWeight={600}>{layer.index}</tspan>
                    <tspan className="figure" dx={8}>
                      {short(layer.thicknessMm)}
                    </tspan>
                    {pinned[layer.index - 1] && <tspan dx={6}>⚲</tspan>}
                  </text>
                )}
              </g>
            );
          })}
          {joints.map((mm, k) => (
            <text
              key={k}
              x={STACK.left - 10}
              y={jointY[k] + 4}
              textAnchor="end"
              fontSize={12}
              className="figure"
              fill="var(--graphite)"
            >
              {short(mm)}
            </text>
          ))}
          {levels.map((level, k) => {
            const y = levelY[k];
            const at = up(level.targetMm);
            const color =
              level.work === 'carve' ? 'var(--clay)' : level.work === 'fill' ? 'var(--ochre-text)' : 'var(--muted)';
            return (
              <g key={level.name} className="cursor-pointer" onPointerDown={() => pickItem(level.itemId)}>
                <path
                  d={`M${STACK.left + STACK.width + 2} ${at}H${STACK.left + STACK.width + 12}L${names - 14} ${y}H${names - 5}`}
                  fill="none"
                  stroke="var(--muted)"
                  strokeWidth={0.8}
                />
                <text x={names} y={y + 4} fontSize={12.5} fill="var(--graphite)">
                  {levelText(level, letters)}
                </text>
                <text x={end - 92} y={y + 4} fontSize={12.5} textAnchor="end" className="figure" fill="var(--graphite)">
                  {short(level.targetMm)}
                </text>
                <text x={end} y={y + 4} fontSize={12.5} textAnchor="end" className="figure" fill={color}>
                  {level.work === 'flush'
                    ? 'flush'
                    : `${level.work} ${unit === 'mm' ? decimals(level.workMm, 1) : short(level.workMm)}`}
                </text>
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
