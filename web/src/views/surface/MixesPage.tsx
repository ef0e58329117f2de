import { catalogueOf, type Given, kgPerL, measuredOut, mixes } from '@hosket/core';
import { useState } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';

const tidy = (value: number) => (value >= 10 ? String(Math.round(value)) : String(Math.round(value * 10) / 10));

/** Mixes by parts: give any one part, or the whole, and the rest follows. */
export function MixesPage() {
  const [id, setId] = useState(mixes[0].id);
  const [given, setGiven] = useState<Given>('whole');
  const [ml, setMl] = useState(100);
  const [inGrams, setInGrams] = useState(false);
  const { materials } = useProject();
  const say = useSay();
  const catalogue = catalogueOf(materials);
  const mix = mixes.find((one) => one.id === id) ?? mixes[0];
  const part = given === 'whole' ? null : mix.parts[given];
  const density = part ? kgPerL(part.material, catalogue) : 1;
  const measured = measuredOut(mix, part ? given : 'whole', ml, catalogue);
  return (
    <div className="max-w-[760px]">
      <p className="mb-2 text-sm text-muted">
        {mix.parts.map(({ name, parts }) => `${parts} ${parts === 1 ? 'part' : 'parts'} of ${name}`).join(', ')}
        {mix.drops ? ` and ${mix.drops.per100Ml} drop of ${mix.drops.name} in 100 ml` : ''}. {mix.note}
      </p>
      <div className="mb-3 grid grid-cols-4 gap-3 max-[999px]:grid-cols-2">
        <ChoiceField
          label="Mix"
          value={id}
          options={mixes.map((one) => ({ value: one.id, text: one.name }))}
          onValue={(next) => {
            setId(next);
            setGiven('whole');
          }}
        />
        <ChoiceField
          label="What is given"
          value={String(given)}
          options={[
            { value: 'whole', text: 'the whole' },
            ...mix.parts.map(({ name }, k) => ({ value: String(k), text: name })),
          ]}
          onValue={(next) => {
            setGiven(next === 'whole' ? 'whole' : Number(next));
            if (next === 'whole') setInGrams(false);
          }}
        />
        <ChoiceField
          label="Measured in"
          value={inGrams ? 'g' : 'ml'}
          options={part ? ['ml', 'g'] : ['ml']}
          onValue={(unit) => setInGrams(unit === 'g')}
        />
        {inGrams ? (
          <NumberField
            label="How much"
            unit="g"
            value={Math.round(ml * density * 10) / 10}
            least={0.1}
            most={100_000}
            onValue={(g) => setMl(g / density)}
          />
        ) : (
          <MeasureField label="How much" kind="volume" value={ml} least={0.1} most={100_000} onValue={setMl} />
        )}
      </div>
      <Table label={`${mix.name}, measured out`}>
        <Heads
          of={['Of', { number: 'Volume' }, { number: 'Mass' }, { number: 'Teaspoons of 5 ml' }, { number: 'Drops' }]}
        />
        <tbody>
          {measured.map(({ name, ml: volume, g, teaspoons, drops }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="number">
                <Figure text={say.volume(volume)} />
              </td>
              <td className="number">
                <Figure text={say.mass(g)} />
              </td>
              <td className="number">
                <Figure text={tidy(teaspoons)} />
              </td>
              <td className="number">
                <Figure text={tidy(drops)} />
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <p className="mt-2 text-xs text-muted">
        A drop is taken as 0.05 ml. Powders are measured loose: shake them down and there is more in the spoon. Common
        practice, no source.
      </p>
    </div>
  );
}
