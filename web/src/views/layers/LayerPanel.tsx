import {
  type HandLayer,
  insertLayer,
  type LayerReport,
  layerKinds,
  moveLayer,
  type Project,
  removeLayer,
  type StackReport,
  sayRoomWork,
  settingOut,
  swapLayer,
  togglePin,
} from '@hosket/core';
import { ArrowDown, ArrowUp, Pin, PinOff, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickLayer, useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureOrNoneField } from '../../ui/Field.tsx';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Heads, Table } from '../../ui/Table.tsx';
import { layerName } from './layerNames.ts';

interface Props {
  stack: StackReport;
  layer: LayerReport;
}

/** One layer: what it is, what is to be done to it, and what may be changed by hand. */
export function LayerPanel({ stack, layer }: Props) {
  const project = useProject();
  const units = useView((view) => view.units);
  const say = useSay();
  return (
    <>
      <Line name="Cut from">
        <span className="block max-w-[170px] text-right">
          {layerName(project, stack.written[layer.index - 1], say.mm)}
        </span>
      </Line>
      <Line name="Lies from, to">
        <Figure text={`${say.mm(layer.bottomMm).replace(/ \w+$/, '')} to ${say.mm(layer.topMm)}`} />
      </Line>
      {layer.outlineAtMm.map((mm, k) => {
        const area = project.stacking.areas[k];
        const where = area ? `in ${area.name}` : k ? 'on the rest of the base' : undefined;
        return (
          <Line key={area?.id ?? 'rest'} name="Outline follows the foam line at" remark={where}>
            <Figure text={say.mm(mm)} />
          </Line>
        );
      })}
      <Line name="Footprint" remark={`${layer.pieces.length} ${layer.pieces.length === 1 ? 'piece' : 'pieces'}`}>
        <Figure text={say.area(layer.areaMm2)} />
      </Line>
      {layer.parts.length > 1 &&
        layer.parts.map((part) => (
          <Line
            key={part.sheetIds.join()}
            name={layerName(project, { sheetIds: part.sheetIds, sliceMm: null }, say.mm)}
          >
            <Figure text={say.area(part.areaMm2)} />
          </Line>
        ))}
      {layer.cutOutMl > 0 && (
        <Line name="Cut out of it">
          <Figure text={say.volume(layer.cutOutMl)} />
        </Line>
      )}
      <Line name="Outline to cut">
        <Figure text={say.mm(Math.round(layer.outlineMm))} />
      </Line>
      <Line name="To carve off it">
        <Figure text={say.volume(layer.carveMl)} />
      </Line>
      <Line name="To fill round it">
        <Figure text={say.volume(layer.fillMl)} />
      </Line>
      <Line name="From one sheet">{layer.fitsWhole ? 'yes, whole' : 'no, with a seam'}</Line>
      {layer.works.length > 0 && (
        <>
          <h3 className="mt-3 text-base">
            <Word>Rooms in it</Word>
          </h3>
          <ul aria-label="Rooms in this layer" className="text-sm">
            {layer.works.map((work) => (
              <li key={`${work.roomId} ${work.how}`} className="border-b border-line py-1 first-letter:uppercase">
                {sayRoomWork(work, units)}
              </li>
            ))}
          </ul>
        </>
      )}
      <SettingOut layer={layer} />
      <ByHand stack={stack} layer={layer} project={project} />
      <Button className="mt-3" onClick={() => pickLayer(null)}>
        All layers
      </Button>
    </>
  );
}

/** Its outline by a rule: places on it, lettered on the plan, by their distance from two edges. */
function SettingOut({ layer }: { layer: LayerReport }) {
  const say = useSay();
  const sets = useMemo(() => settingOut(layer.pieces), [layer.pieces]);
  const stray = Math.max(0, ...sets.map(({ strayMm }) => strayMm));
  return (
    <section aria-label="Measures to transfer" className="mt-4">
      <h3 className="mb-1 text-base">
        <Word>Measures to transfer</Word>
      </h3>
      <Table>
        <Heads of={['At', { number: 'From the left' }, { number: 'From the front' }]} />
        <tbody>
          {sets.flatMap(({ hole, places }) =>
            places.map(({ letter, fromLeftMm, fromFrontMm }) => (
              <tr key={letter}>
                <th scope="row">{hole ? `${letter}, hole` : letter}</th>
                {[fromLeftMm, fromFrontMm].map((mm, k) => (
                  <td key={k} className="number">
                    <Figure text={say.mm(mm)} />
                  </td>
                ))}
              </tr>
            )),
          )}
        </tbody>
      </Table>
      <p className="mt-1 text-xs text-muted">
        Joined by straight lines they follow the outline within {say.mm(stray)}; the full-size template in Cutting
        follows it all the way.
      </p>
    </section>
  );
}

const keyOf = ({ sheetIds, sliceMm }: HandLayer) => `${sheetIds.join('+')}@${sliceMm ?? ''}`;

function ByHand({ stack, layer, project }: Props & { project: Project }) {
  const say = useSay();
  const { written } = stack;
  const { index } = layer;
  const own = written[index - 1];
  const kinds = layerKinds(project);
  const all = kinds.some((kind) => keyOf(kind) === keyOf(own)) ? kinds : [own, ...kinds];
  const options = all.map((kind) => ({ value: keyOf(kind), text: layerName(project, kind, say.mm) }));
  const byKey = (key: string) => all.find((kind) => keyOf(kind) === key) ?? own;
  const [kind, setKind] = useState('');
  const next = byKey(kind || keyOf(own));
  const pinned = stack.pinned[index - 1];
  const to = (place: number, change: (p: Project) => Project) => {
    edit(change);
    pickLayer(place);
  };
  return (
    <section aria-label="By hand" className="mt-4">
      <h3 className="mb-1 text-base">
        <Word>By hand</Word>
      </h3>
      <div className="flex flex-wrap gap-1">
        <Button
          aria-pressed={pinned}
          onClick={() => edit((p) => togglePin(p, { ...own, fromMm: Math.round(layer.fromMm * 1000) / 1000 }))}
        >
          {pinned ? <PinOff size={14} aria-hidden /> : <Pin size={14} aria-hidden />}
          {pinned ? 'Unpin' : 'Pin it here'}
        </Button>
        <Button
          disabled={index === written.length}
          onClick={() => to(index + 1, (p) => moveLayer(p, written, index, 1))}
        >
          <ArrowUp size={14} aria-hidden /> Up
        </Button>
        <Button disabled={index === 1} onClick={() => to(index - 1, (p) => moveLayer(p, written, index, -1))}>
          <ArrowDown size={14} aria-hidden /> Down
        </Button>
        <Button
          onClick={() => {
            edit((p) => removeLayer(p, written, index));
            pickLayer(null);
          }}
        >
          <Trash2 size={14} aria-hidden /> Take out
        </Button>
      </div>
      <div className="mt-2">
        <ChoiceField
          label="Swap for"
          value={keyOf(own)}
          options={options}
          onValue={(key) => edit((p) => swapLayer(p, written, index, byKey(key)))}
        />
      </div>
      {project.stacking.wire && own.sheetIds.length === 1 && (
        <div className="mt-2">
          <MeasureOrNoneField
            label="Sliced to"
            none="a whole sheet"
            value={own.sliceMm}
            least={project.stacking.wire.thinnestMm}
            most={400}
            onValue={(sliceMm) => edit((p) => swapLayer(p, written, index, { ...own, sliceMm }))}
          />
        </div>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-1">
        <div className="w-full">
          <ChoiceField label="Put another in" value={keyOf(next)} options={options} onValue={setKind} />
        </div>
        <Button onClick={() => to(index + 1, (p) => insertLayer(p, written, index + 1, next))}>Above this</Button>
        <Button onClick={() => to(index, (p) => insertLayer(p, written, index, next))}>Below this</Button>
      </div>
    </section>
  );
}
