import { baseSize, formatScale, type Project, parseScale, sayReal, scaleOf, toModelMm, toRealMm } from '@hosket/core';
import { useState } from 'react';
import { edit } from '../../store/projectStore.ts';
import { MeasureField, NumberField, ReadField, TickField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Legend } from '../../ui/Legend.tsx';

/** A smaller scale for the distance with the line where it begins, and a converter between real and model. */
export function DistanceFields({ project }: { project: Project }) {
  const { distance } = project;
  const { widthMm, depthMm } = baseSize(project.base);
  const change = (next: Project['distance']) => edit((p) => ({ ...p, distance: next }));
  return (
    <fieldset className="grid grid-cols-3 content-start gap-3">
      <Legend>Distance and sizes</Legend>
      <div className="col-span-3">
        <TickField
          label="The distance is built at a smaller scale"
          value={distance !== null}
          onValue={(there) =>
            change(
              there
                ? {
                    scale: (project.scale ?? 87) * 4,
                    from: [0, Math.round(depthMm * 0.7)],
                    to: [Math.round(widthMm), Math.round(depthMm * 0.7)],
                  }
                : null,
            )
          }
        />
      </div>
      {distance && (
        <>
          <ReadField
            label="Its scale"
            text={formatScale(distance.scale)}
            read={(text) => {
              const scale = parseScale(text);
              return scale.ok ? scale : { ok: false, why: `${scale.fault.message} ${scale.fault.remedy}` };
            }}
            onValue={(scale: number) => change({ ...distance, scale })}
          />
          <MeasureField
            label="Begins, left"
            value={distance.from[1]}
            most={3000}
            onValue={(y) => change({ ...distance, from: [distance.from[0], y] })}
          />
          <MeasureField
            label="Begins, right"
            value={distance.to[1]}
            most={3000}
            onValue={(y) => change({ ...distance, to: [distance.to[0], y] })}
          />
        </>
      )}
      <Converter project={project} />
    </fieldset>
  );
}

/** What a length on the model is in the world and the other way round, near and far; and the scale that two lengths make. */
function Converter({ project }: { project: Project }) {
  const [modelMm, setModel] = useState(1);
  const [realM, setReal] = useState(10);
  const say = useSay();
  const scales = [
    ...(project.scale ? [{ name: 'near', scale: project.scale }] : []),
    ...(project.distance ? [{ name: 'far', scale: project.distance.scale }] : []),
  ];
  const made = scaleOf(realM * 1000, modelMm);
  return (
    <div className="col-span-3 grid grid-cols-2 gap-3">
      <MeasureField label="On the model" value={modelMm} least={0.01} most={5000} onValue={setModel} />
      <NumberField label="In the world" unit="m" value={realM} least={0.0001} most={1e6} onValue={setReal} />
      <ul className="col-span-2 text-sm">
        {scales.map(({ name, scale }) => (
          <li key={name}>
            {name}, {formatScale(scale)}: <Figure text={say.mm(modelMm)} /> stands for{' '}
            <Figure text={sayReal(toRealMm(modelMm, scale))} />; <Figure text={`${realM} m`} /> is{' '}
            <Figure text={say.mm(toModelMm(realM * 1000, scale))} />
          </li>
        ))}
        {scales.length === 2 && (
          <li>
            {realM} m drawn far looks like{' '}
            <Figure text={sayReal(toRealMm(toModelMm(realM * 1000, scales[1].scale), scales[0].scale))} /> beside near
            things
          </li>
        )}
        {made !== null && (
          <li className="text-muted">
            {realM} m drawn {say.mm(modelMm)} high is {formatScale(made)}; a ripple of {say.mm(1)} there is{' '}
            {sayReal(made)}
          </li>
        )}
      </ul>
    </div>
  );
}
