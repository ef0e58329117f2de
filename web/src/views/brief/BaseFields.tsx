import {
  type BaseShape,
  baseFromOutline,
  baseKinds,
  basePresets,
  baseSize,
  changeShape,
  fieldLimits,
  isClosed,
  itemsOf,
  nameOf,
  type Project,
  runOf,
  shapeOfKind,
} from '@hosket/core';
import { useState } from 'react';
import { edit } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, MeasureOrNoneField, NumberField, TickField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { OpeningFields } from './OpeningFields.tsx';

const kindWords: Record<BaseShape['kind'], string> = {
  rectangle: 'rectangle',
  round: 'round',
  oval: 'oval',
  polygon: 'regular polygon',
  outline: 'free outline',
};
const changeBase = (shape: BaseShape) => edit((p) => changeShape(p, shape));

/** The outline of the base, and a frame round it. */
export function BaseFields({ project }: { project: Project }) {
  const { shape } = project.base;
  return (
    <fieldset className="grid grid-cols-2 content-start gap-3">
      <Legend>Base</Legend>
      <ChoiceField
        label="Shape"
        value={shape.kind}
        options={baseKinds.map((kind) => ({ value: kind, text: kindWords[kind] }))}
        onValue={(kind) => changeBase(shapeOfKind(project.base, kind))}
      />
      {(shape.kind === 'rectangle' || shape.kind === 'oval') && <Sides shape={shape} />}
      {shape.kind === 'round' && (
        <MeasureField
          label="Across"
          value={shape.diameterMm}
          {...fieldLimits('base.shape.diameterMm')}
          onValue={(diameterMm) => changeBase({ ...shape, diameterMm })}
        />
      )}
      {shape.kind === 'polygon' && (
        <>
          <NumberField
            label="Sides"
            whole
            value={shape.sides}
            {...fieldLimits('base.shape.sides')}
            onValue={(sides) => changeBase({ ...shape, sides })}
          />
          <MeasureField
            label="Length of a side"
            value={shape.sideMm}
            {...fieldLimits('base.shape.sideMm')}
            onValue={(sideMm) => changeBase({ ...shape, sideMm })}
          />
        </>
      )}
      {shape.kind === 'outline' && <FreeOutline project={project} shape={shape} />}
      <p className="col-span-2 text-xs text-muted">Marks stay where they are when the size changes.</p>
      <OpeningFields base={project.base} />
      <Frame project={project} />
    </fieldset>
  );
}

function Sides({ shape }: { shape: Extract<BaseShape, { widthMm: number }> }) {
  const preset = basePresets.find(({ widthMm, depthMm }) => widthMm === shape.widthMm && depthMm === shape.depthMm);
  return (
    <>
      <ChoiceField
        label="Usual size"
        value={preset?.name ?? ''}
        options={[{ value: '', text: 'own size' }, ...basePresets.map(({ name }) => ({ value: name, text: name }))]}
        onValue={(name) => {
          const size = basePresets.find((candidate) => candidate.name === name);
          if (size) changeBase({ ...shape, widthMm: size.widthMm, depthMm: size.depthMm });
        }}
      />
      <MeasureField
        label="Width"
        value={shape.widthMm}
        {...fieldLimits('base.shape.widthMm')}
        onValue={(widthMm) => changeBase({ ...shape, widthMm })}
      />
      <MeasureField
        label="Depth"
        value={shape.depthMm}
        {...fieldLimits('base.shape.depthMm')}
        onValue={(depthMm) => changeBase({ ...shape, depthMm })}
      />
    </>
  );
}

/** A free outline is taken from a closed line drawn on the plan. */
function FreeOutline({ project, shape }: { project: Project; shape: Extract<BaseShape, { kind: 'outline' }> }) {
  const [why, setWhy] = useState('');
  const closed = itemsOf(project).filter(isClosed);
  const { widthMm, depthMm } = baseSize(project.base);
  return (
    <>
      <ChoiceField
        label="Take the outline of"
        value=""
        options={[
          { value: '', text: closed.length ? 'choose a closed line' : 'draw a closed line first' },
          ...closed.map((item) => ({ value: item.id, text: nameOf(item) })),
        ]}
        onValue={(id) => {
          const item = closed.find((candidate) => candidate.id === id);
          if (!item) return;
          const taken = baseFromOutline(project, runOf(item));
          if (!taken)
            return setWhy(
              `${nameOf(item)} cannot be a base: its line crosses itself, or is smaller than 20 mm. Draw it anew.`,
            );
          setWhy('');
          edit(() => taken);
        }}
      />
      <p className="col-span-2 text-xs text-muted">
        {shape.points.length} points, {Math.round(widthMm)} by {Math.round(depthMm)} mm. Everything drawn moves with the
        outline to the corner of its box.
      </p>
      {why && (
        <p role="alert" className="col-span-2 text-sm text-plum">
          {why}
        </p>
      )}
    </>
  );
}

function Frame({ project }: { project: Project }) {
  const { frame } = project.base;
  const change = (next: Project['base']['frame']) => edit((p) => ({ ...p, base: { ...p.base, frame: next } }));
  return (
    <>
      <div className="col-span-2">
        <TickField
          label="A frame round it"
          value={frame !== null}
          onValue={(there) => change(there ? { widthMm: 20, heightMm: 15, lapMm: 5 } : null)}
        />
      </div>
      {frame && (
        <div className="col-span-2 grid grid-cols-3 gap-3">
          <MeasureField
            label="Frame, from above"
            value={frame.widthMm}
            {...fieldLimits('base.frame.widthMm')}
            least={1}
            onValue={(widthMm) => change({ ...frame, widthMm })}
          />
          <MeasureField
            label="Its height"
            value={frame.heightMm}
            {...fieldLimits('base.frame.heightMm')}
            least={1}
            onValue={(heightMm) => change({ ...frame, heightMm })}
          />
          <MeasureField
            label="Lap over the base"
            value={frame.lapMm}
            {...fieldLimits('base.frame.lapMm')}
            onValue={(lapMm) => change({ ...frame, lapMm })}
          />
          <MeasureOrNoneField
            label="Bottom panel under the board"
            none="open below"
            value={frame.bottomMm ?? null}
            {...fieldLimits('base.frame.bottomMm')}
            least={0.5}
            now={null}
            onValue={(bottomMm) => change({ ...frame, bottomMm: bottomMm ?? undefined })}
          />
        </div>
      )}
    </>
  );
}
