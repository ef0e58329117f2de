import { findItem, type Item, isMark, itemsOf, middleOf, type Point, shiftItems } from '@hosket/core';
import { useMemo, useRef } from 'react';
import { endPreview, preview, settle, usePreview, useShown } from '../../store/preview.ts';
import { useProject } from '../../store/projectStore.ts';
import { alsoPick, pickItem, pickItems, usePicked, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { useFrame } from '../handling/planFrame.ts';
import { useDrag } from '../handling/useDrag.ts';
import { useSectionLine } from '../section/sectionLine.ts';
import { Handle } from './Handle.tsx';
import { ItemHandles } from './ItemHandles.tsx';
import { ItemShape } from './ItemShape.tsx';
import { itemLabel, shownAs } from './itemLabel.ts';
import { type Label, placeLabels } from './labels.ts';
import { snapPoint } from './snap.ts';

/** Everything drawn on the plan with its heights; what is picked with handles when it may be edited. */
export function PlanItems({ editable }: { editable: boolean }) {
  const project = useShown();
  const picked = usePicked((state) => state.ids);
  const items = useMemo(
    () => itemsOf(project).filter((item) => !item.hidden || picked.includes(item.id)),
    [project, picked],
  );
  const one = picked.length === 1 ? findItem(project, picked[0]) : undefined;
  return (
    <g>
      {editable && <PickByBox />}
      {items.map((item) => (
        <ItemBody key={item.id} item={item} picked={picked.includes(item.id)} editable={editable} />
      ))}
      {/* Points lie over the handle of the whole: the whole can be taken hold of anywhere else too. */}
      {editable && picked.length > 0 && <MoveAll />}
      {editable && one && !one.locked && <ItemHandles item={one} />}
      <Labels items={items} picked={picked} />
    </g>
  );
}

/** An item that can be picked, and dragged as a whole with everything else that is picked. */
function ItemBody({ item, picked, editable }: { item: Item; picked: boolean; editable: boolean }) {
  const frame = useFrame();
  const drag = useDrag<{ pointer: Point; ids: readonly string[]; was: Item }>({
    begin: (event) => {
      if (event.shiftKey || event.ctrlKey || event.metaKey) alsoPick(item.id);
      else if (!picked) pickItem(item.id);
      return { pointer: frame.toBase(event), ids: usePicked.getState().ids, was: item };
    },
    move: (start, event) => preview((project) => shiftItems(project, start.ids, by(start, event))),
    end: ({ ids, was }) => {
      const moved = usePreview.getState().latest;
      const now = moved && findItem(moved, was.id);
      if (!now) return endPreview();
      const shift: Point = [now.points[0][0] - was.points[0][0], now.points[0][1] - was.points[0][1]];
      settle((project) => shiftItems(project, ids, shift));
    },
    cancel: endPreview,
  });
  const by = (start: { pointer: Point }, event: { clientX: number; clientY: number }): Point => {
    const [x, y] = frame.toBase(event);
    return [Math.round(x - start.pointer[0]), Math.round(y - start.pointer[1])];
  };
  return (
    <g className={editable ? 'cursor-pointer' : undefined} {...(editable ? drag.handlers : {})}>
      <ItemShape item={item} picked={picked} place={frame.place} scale={frame.scale} />
    </g>
  );
}

/** The handle by which all picked things are moved together, by pointer or arrow keys; Delete is the panel's. */
function MoveAll() {
  const project = useProject();
  const shown = useShown();
  const { scale } = useFrame();
  const ids = usePicked((state) => state.ids);
  const points = itemsOf(project)
    .filter((item) => ids.includes(item.id) && !item.locked)
    .flatMap((item) => item.points);
  if (!points.length || (points.length === 1 && ids.length === 1)) return null;
  const middle = middleOf(points);
  const held = middleOf(
    itemsOf(shown)
      .filter((item) => ids.includes(item.id) && !item.locked)
      .flatMap((item) => item.points),
  );
  const shift = (to: Point): Point => [to[0] - middle[0], to[1] - middle[1]];
  const name = ids.length === 1 ? (findItem(project, ids[0])?.name ?? 'it') : `${ids.length} picked things`;
  return (
    <Handle
      label={`Whole of ${name}, middle ${Math.round(held[0])} mm across, ${Math.round(held[1])} mm away`}
      at={middle}
      snap={(at) => snapPoint(project, at, scale, ids)}
      onPreview={(to) => preview((p) => shiftItems(p, ids, shift(to)))}
      onCancel={endPreview}
      onMove={(to) => settle((p) => shiftItems(p, ids, shift(to)))}
    >
      <g transform={shiftBy(middle, held, scale)}>
        <rect x={-6} y={-6} width={12} height={12} rx={2} fill="var(--clay)" stroke="var(--sheet)" strokeWidth={1.5} />
        <path d="M-3.5 0H3.5M0 -3.5V3.5" stroke="var(--sheet)" strokeWidth={1.3} />
      </g>
    </Handle>
  );
}

const shiftBy = (from: Point, to: Point, scale: number) =>
  `translate(${(to[0] - from[0]) * scale} ${(from[1] - to[1]) * scale})`;

/** Shift and drag over free ground picks everything that lies in the box. */
function PickByBox() {
  const { width, height, toBase } = useFrame();
  const project = useProject();
  const drag = useDrag<Point>({
    begin: (event) => (event.shiftKey ? toBase(event) : null),
    move: (from, event) => {
      const to = toBase(event);
      const [x0, x1] = [Math.min(from[0], to[0]), Math.max(from[0], to[0])];
      const [y0, y1] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])];
      pickItems(
        itemsOf(project)
          .filter((item) => !item.hidden)
          .filter((item) => item.points.every(([x, y]) => x >= x0 && x <= x1 && y >= y0 && y <= y1))
          .map(({ id }) => id),
      );
    },
    end: () => {},
    cancel: () => pickItem(null),
  });
  return <rect width={width} height={height} fill="transparent" {...drag.handlers} />;
}

function Labels({ items, picked }: { items: readonly Item[]; picked: readonly string[] }) {
  const { place, width, height } = useFrame();
  const report = usePlan((state) => state.report);
  const say = useSay();
  const project = useProject();
  const { sections } = project;
  const shown = useView((view) => view.heightsShown);
  const line = useSectionLine();
  const ends = [line.from, line.to].map(place);
  const grips = [...ends, ...sections.map(({ from }) => place(from))];
  const dragging = usePreview((state) => state.project !== null);
  const kept = useRef<Label[]>([]);
  // During a drag the other labels stay where they are: that reads calmer, and costs nothing.
  if (dragging) kept.current = kept.current.filter(({ itemId }) => !picked.includes(itemId));
  else
    kept.current = placeLabels(
      // Marks first: their heights are what is read off a plan.
      [...items].sort((a, b) => Number(isMark(b)) - Number(isMark(a))),
      (item) =>
        itemLabel(shownAs(project, shown, item), report, (mm) => say.mm(mm).replace(' mm', '').replace(' in', '″')),
      place,
      { width, height },
      [[ends[0], ends[1]], ...grips.map((grip) => [grip, grip] as const)],
    );
  return (
    <g pointerEvents="none">
      {kept.current.map((label) => (
        <g key={label.itemId} transform={`translate(${label.x} ${label.y})`}>
          <rect
            x={-label.width / 2}
            y={-11}
            width={label.width}
            height={14}
            rx={3}
            fill="var(--sheet)"
            opacity={0.86}
          />
          <text
            textAnchor="middle"
            className="figure"
            fontSize={11}
            fill={picked.includes(label.itemId) ? 'var(--clay)' : 'var(--graphite)'}
          >
            {label.text}
          </text>
        </g>
      ))}
    </g>
  );
}
