import { baseSize, kindWords, type Point } from '@hosket/core';
import type { PlanDrawing } from '@hosket/formats';
import {
  type Becoming,
  becomings,
  boxOfDrawing,
  guess,
  type HeightFrom,
  type LayerMapping,
  layersOf,
  type PlanMapping,
  takeIn,
} from '@hosket/formats/mapping';
import { useMemo, useState } from 'react';
import { linePath } from '../../instruments/handling/paths.ts';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { Notes } from './Notes.tsx';

interface Props {
  name: string;
  drawing: PlanDrawing;
  onDone: (text: string) => void;
}

/** A plan with its layers: what each becomes, where its heights come from, and how large it lies on the base. */
export default function PlanForm({ name, drawing, onDone }: Props) {
  const project = useProject();
  const say = useSay();
  const seen = useMemo(() => layersOf(drawing), [drawing]);
  const [mapping, setMapping] = useState<PlanMapping>(() => guess(drawing, project));
  const [x0, y0, x1, y1] = boxOfDrawing(drawing);
  const { widthMm, depthMm } = baseSize(project.base);
  const { mmPerUnit } = mapping;
  const sized = (next: number) =>
    setMapping({
      ...mapping,
      mmPerUnit: next,
      mmPerHeight: mapping.mmPerHeight === mmPerUnit ? next : mapping.mmPerHeight,
      at: [(widthMm - (x1 - x0) * next) / 2, (depthMm - (y1 - y0) * next) / 2],
    });
  const change = (layer: string, by: Partial<LayerMapping>) =>
    setMapping({
      ...mapping,
      layers: mapping.layers.map((other) => (other.layer === layer ? { ...other, ...by } : other)),
    });
  const take = () => {
    let text = '';
    edit((p) => {
      const { project: next, count, notes } = takeIn(p, drawing, mapping);
      text = [`${count} lines of ${name} were drawn.`, ...notes].join(' ');
      return next;
    });
    onDone(text);
  };
  const nothing = mapping.layers.every(({ becomes }) => becomes === 'left out');
  return (
    <div>
      <p>
        <strong>{name}</strong>: {drawing.lines.length} lines on {seen.length} {seen.length === 1 ? 'layer' : 'layers'}
        {drawing.unitMm !== null && `, in units of one ${drawing.unit}`}.
      </p>
      <Notes notes={drawing.notes} />
      <div className="my-2 grid grid-cols-[minmax(0,1fr)_210px] gap-4 max-[700px]:grid-cols-1">
        <ul className="grid max-h-[260px] gap-2 overflow-y-auto" aria-label="Layers of the plan">
          {mapping.layers.map((layer) => {
            const own = seen.find((other) => other.layer === layer.layer);
            return (
              <li key={layer.layer} className="border-l-[3px] border-line pl-2">
                <span className="block text-sm">
                  {layer.layer} <span className="text-xs text-muted">{own?.count} drawn</span>
                </span>
                <div className="grid grid-cols-3 gap-2">
                  <ChoiceField<Becoming>
                    label={`${layer.layer} becomes`}
                    value={layer.becomes}
                    options={[
                      ...becomings.map((kind) => ({ value: kind, text: kindWords[kind].title.toLowerCase() })),
                      'the base',
                      'left out',
                    ]}
                    onValue={(becomes) => change(layer.layer, { becomes })}
                  />
                  <HeightChoice
                    mapping={layer}
                    keys={own?.keys ?? []}
                    elevated={own?.elevated ?? false}
                    onHeight={(height) => change(layer.layer, { height })}
                  />
                </div>
              </li>
            );
          })}
        </ul>
        <Picture drawing={drawing} mapping={mapping} widthMm={widthMm} depthMm={depthMm} />
      </div>
      <div className="my-2 grid max-w-[520px] grid-cols-3 items-end gap-3">
        <NumberField
          label="One unit of the plan"
          unit="mm"
          value={Number(mmPerUnit.toPrecision(6))}
          least={1e-6}
          most={1e6}
          onValue={sized}
        />
        <NumberField
          label="One unit of height"
          unit="mm"
          value={Number(mapping.mmPerHeight.toPrecision(6))}
          least={1e-6}
          most={1e6}
          onValue={(mmPerHeight) => setMapping({ ...mapping, mmPerHeight })}
        />
        <Button onClick={() => sized(Math.min(widthMm / Math.max(1e-9, x1 - x0), depthMm / Math.max(1e-9, y1 - y0)))}>
          Fit it to the base
        </Button>
      </div>
      <p className="mb-2 text-sm text-muted">
        It will lie {say.mm((x1 - x0) * mmPerUnit)} by {say.mm((y1 - y0) * mmPerUnit)} on a base of {say.mm(widthMm)} by{' '}
        {say.mm(depthMm)}.
      </p>
      <Button tone="main" disabled={nothing} onClick={take}>
        Draw it on the plan
      </Button>
    </div>
  );
}

interface HeightProps {
  mapping: LayerMapping;
  keys: readonly string[];
  elevated: boolean;
  onHeight: (height: HeightFrom) => void;
}

/** Where a layer's heights come from; a typed one may be typed here. */
function HeightChoice({ mapping: { layer, height }, keys, elevated, onHeight }: HeightProps) {
  const options = [
    { value: 'typed', text: 'one height' },
    ...(elevated ? [{ value: 'elevation', text: 'the drawing’s heights' }] : []),
    { value: 'name', text: 'number in the layer’s name' },
    ...keys.map((key) => ({ value: `property ${key}`, text: `its “${key}”` })),
  ];
  return (
    <>
      <ChoiceField
        label="Height from"
        value={height.kind === 'property' ? `property ${height.key}` : height.kind}
        options={options}
        onValue={(value) =>
          onHeight(
            value === 'typed'
              ? { kind: 'typed', mm: 20 }
              : value === 'name' || value === 'elevation'
                ? { kind: value }
                : { kind: 'property', key: value.slice('property '.length) },
          )
        }
      />
      {height.kind === 'typed' && (
        <MeasureField
          label={`Height of ${layer}`}
          value={height.mm}
          most={2000}
          onValue={(mm) => onHeight({ kind: 'typed', mm })}
        />
      )}
    </>
  );
}

interface PictureProps {
  drawing: PlanDrawing;
  mapping: PlanMapping;
  widthMm: number;
  depthMm: number;
}

const WIDE = 210;
const HIGH = 150;

/** Where the plan will lie on the base: drawn anew from its numbers, layers that are left out faded. */
function Picture({ drawing, mapping, widthMm, depthMm }: PictureProps) {
  const [x0, y0, x1, y1] = boxOfDrawing(drawing);
  const { mmPerUnit, at } = mapping;
  const [left, right] = [Math.min(0, at[0]), Math.max(widthMm, at[0] + (x1 - x0) * mmPerUnit)];
  const [near, far] = [Math.min(0, at[1]), Math.max(depthMm, at[1] + (y1 - y0) * mmPerUnit)];
  const scale = Math.min((WIDE - 8) / (right - left), (HIGH - 8) / (far - near));
  const spot = ([x, y]: Point): Point => [4 + (x - left) * scale, 4 + (far - y) * scale];
  const onBase = ([x, y]: Point): Point => spot([at[0] + (x - x0) * mmPerUnit, at[1] + (y - y0) * mmPerUnit]);
  const edge: Point[] = [
    [0, 0],
    [widthMm, 0],
    [widthMm, depthMm],
    [0, depthMm],
  ];
  return (
    <svg
      width={WIDE}
      height={HIGH}
      role="img"
      aria-label="Where the plan will lie on the base"
      className="border border-line bg-sheet"
    >
      <path d={linePath(edge, spot, true)} fill="var(--foam-a)" stroke="var(--muted)" />
      {drawing.lines.map((line, k) => {
        const becomes = mapping.layers.find(({ layer }) => layer === line.layer)?.becomes;
        const look = {
          stroke: becomes === 'left out' ? 'var(--line)' : 'var(--clay)',
          strokeDasharray: becomes === 'the base' ? '4 2' : undefined,
        };
        if (line.points.length > 1)
          return (
            <path key={k} d={linePath(line.points, onBase, line.closed)} fill="none" strokeWidth={1.1} {...look} />
          );
        const [cx, cy] = onBase(line.points[0]);
        return <circle key={k} cx={cx} cy={cy} r={2.5} fill={look.stroke} />;
      })}
    </svg>
  );
}
