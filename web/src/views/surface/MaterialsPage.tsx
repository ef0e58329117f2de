import {
  catalogueOf,
  type Form,
  forms,
  freeId,
  type Material,
  ownFigure,
  type Property,
  properties,
  propertyNames,
  putMaterial,
  readMaterials,
  removeMaterial,
  shippedMaterials,
  writeMaterials,
} from '@hosket/core';
import { Download, Plus, Trash2, Upload } from 'lucide-react';
import { useState } from 'react';
import { fileStem } from '../../store/fileStem.ts';
import { edit, projectNow, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { download } from '../../ui/download.ts';
import { ChoiceField, WordsField } from '../../ui/Field.tsx';
import { OwnFigure } from '../../ui/OwnFigure.tsx';
import { pickFile } from '../../ui/pickFile.ts';
import { Heads, Table } from '../../ui/Table.tsx';
import { say, sayWrong } from '../../ui/toast.tsx';
import { withFiles } from '../../worker/files.ts';
import { saveAs } from '../savePdf.ts';

const formWords: Record<Form, string> = {
  foam: 'Foams',
  board: 'Boards',
  glue: 'Glues for joints',
  paste: 'Fillers, skins and pastes',
  ply: 'Tissue and gauze',
  thin: 'Seals, paints, washes, sprays',
  powder: 'Powders',
  loose: 'Loose cover',
  fibre: 'Static grass',
  panel: 'Edge panels',
  counted: 'Counted things',
  laid: 'Laid-in things',
  liquid: 'For mixes',
};

const shippedIds = new Set(shippedMaterials.map(({ id }) => id));

/** Every material with its figures and where they come from; corrected and added to by the builder. */
export function MaterialsPage() {
  const project = useProject();
  const [form, setForm] = useState<Form>('paste');
  const [picked, setPicked] = useState<string | null>(null);
  const [search, setSearch] = useState('');
  const catalogue = catalogueOf(project.materials);
  const wanted = search.trim().toLowerCase();
  const shown = catalogue.materials.filter((material) =>
    wanted ? `${material.name} ${material.use}`.toLowerCase().includes(wanted) : material.form === form,
  );
  const material = shown.find(({ id }) => id === picked) ?? shown[0];
  const add = () => {
    const like = shown[0];
    const id = freeId('own', project.materials.added);
    const values = Object.fromEntries(
      Object.entries(like?.values ?? {}).map(([property, value]) => [
        property,
        { ...value, source: { kind: 'yours', confidence: 'C', note: `begun from ${like.name}` } },
      ]),
    ) as Material['values'];
    edit((p) =>
      putMaterial(p, {
        id,
        name: 'Own material',
        form: like?.form ?? form,
        values,
        facts: like?.facts ?? [],
        use: '',
        caution: like?.caution ?? '',
        packs: [],
      }),
    );
    setSearch('');
    setForm(like?.form ?? form);
    setPicked(id);
  };
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-end gap-2">
        <ChoiceField
          label="Kind"
          value={form}
          options={forms.map((one) => ({ value: one, text: formWords[one] }))}
          onValue={(next) => {
            setForm(next);
            setSearch('');
            setPicked(null);
          }}
        />
        <WordsField label="Look for" value={search} onValue={setSearch} />
        <Button onClick={add}>
          <Plus size={14} aria-hidden /> Add my own
        </Button>
        <span className="flex-1" />
        <FileTools />
      </div>
      <div className="grid grid-cols-[230px_minmax(0,1fr)] gap-4 max-[999px]:grid-cols-1">
        <ul aria-label="Materials" className="text-sm">
          {shown.map(({ id, name }) => (
            <li key={id} className="border-b border-line">
              <button
                type="button"
                aria-current={material?.id === id}
                className="w-full cursor-pointer py-1 text-left hover:text-clay aria-[current=true]:border-l-[3px] aria-[current=true]:border-clay aria-[current=true]:pl-2"
                onClick={() => setPicked(id)}
              >
                {name}
                {(!shippedIds.has(id) || project.materials.values.some((value) => value.material === id)) && (
                  <span className="ml-1 text-xs text-clay">yours</span>
                )}
              </button>
            </li>
          ))}
          {!shown.length && <li className="text-muted">Nothing of that name.</li>}
        </ul>
        {material && <OneMaterial material={material} />}
      </div>
    </div>
  );
}

function OneMaterial({ material }: { material: Material }) {
  const { materials } = useProject();
  const catalogue = catalogueOf(materials);
  const own = !shippedIds.has(material.id);
  const [more, setMore] = useState<Property | ''>('');
  const known = propertyNames.filter((property) => catalogue.figure(material.id, property));
  const others = propertyNames.filter((property) => !known.includes(property));
  return (
    <section aria-label={material.name}>
      <div className="mb-1 flex flex-wrap items-baseline gap-3">
        <h2 className="text-base">{material.name}</h2>
        <span className="text-xs text-muted">{[formWords[material.form], ...material.facts].join(', ')}</span>
        {own && (
          <Button tone="quiet" onClick={() => edit((p) => removeMaterial(p, material.id))}>
            <Trash2 size={14} aria-hidden /> Remove
          </Button>
        )}
      </div>
      {own && (
        <div className="mb-2 grid grid-cols-2 gap-2">
          <WordsField
            required
            most={80}
            label="Name of the material"
            value={material.name}
            onValue={(name) => edit((p) => putMaterial(p, { ...material, name }))}
          />
          <WordsField
            most={400}
            label="When it is chosen"
            value={material.use}
            onValue={(use) => edit((p) => putMaterial(p, { ...material, use }))}
          />
        </div>
      )}
      {!own && material.use && <p className="text-sm">{material.use}</p>}
      {material.caution && (
        <p className="text-sm text-muted">{material.caution} Follow the maker's safety sheet and your local rules.</p>
      )}
      {material.packs.length > 0 && (
        <p className="text-xs text-muted">
          Usual packs: {material.packs.map(({ amount, unit }) => `${amount} ${unit}`).join(', ')}.
        </p>
      )}
      <Table>
        <Heads of={['Figure', { number: 'Low' }, { number: 'Likely' }, { number: 'High' }, 'Unit', 'Source', '']} />
        <tbody>
          {known.map((property) => {
            const figure = catalogue.need(material.id, property);
            return (
              <tr key={property}>
                <th scope="row">{properties[property].name}</th>
                <td className="figure number">{figure.low}</td>
                <td className="figure number">{figure.likely}</td>
                <td className="figure number">{figure.high}</td>
                <td className="text-xs text-muted">{figure.unit}</td>
                <td className="text-xs text-muted">
                  {figure.source.note} ({figure.source.kind}, {figure.source.confidence})
                </td>
                <td>
                  <OwnFigure figure={figure} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      <div className="mt-2 flex max-w-[460px] items-end gap-2">
        <ChoiceField
          label="Another figure"
          value={more}
          options={[
            { value: '' as Property | '', text: 'choose' },
            ...others.map((property) => ({
              value: property as Property | '',
              text: `${properties[property].name}, ${properties[property].unit}`,
            })),
          ]}
          onValue={setMore}
        />
        <Button
          disabled={!more}
          onClick={() => {
            if (more)
              edit((p) =>
                ownFigure(p, { material: material.id, property: more }, { low: 1, likely: 1, high: 1, note: '' }),
              );
            setMore('');
          }}
        >
          Give it
        </Button>
      </div>
    </section>
  );
}

function FileTools() {
  const project = useProject();
  const stem = fileStem(project.name);
  const saveJson = () =>
    download(
      new Blob([writeMaterials(project.materials)], { type: 'application/json' }),
      `${stem}.hosket-materials.json`,
    );
  const saveCsv = async (semicolons: boolean) => {
    const { materials } = catalogueOf(project.materials);
    await saveAs(
      `${stem}-materials.csv`,
      'text/csv',
      async (calls) => `\uFEFF${await calls.writeMaterialsCsv(materials, project.materials, semicolons)}`,
    );
  };
  const read = async () => {
    const file = await pickFile('.json,.csv,text/csv,application/json');
    if (!file) return;
    const text = await file.text();
    let got: ReturnType<typeof readMaterials>;
    try {
      got = file.name.endsWith('.csv')
        ? await withFiles(`Reading ${file.name}`, (calls) => calls.readMaterialsCsv(text))
        : readMaterials(text);
    } catch (error) {
      return sayWrong(`${file.name} was not read: ${(error as Error).message}.`);
    }
    if (!got.ok)
      return sayWrong(`${file.name} was not read.\n${got.fault.place}: ${got.fault.message}\n${got.fault.remedy}`);
    const { added, values } = got.value;
    const before = projectNow();
    let next = before;
    for (const material of added) next = putMaterial(next, material);
    for (const { material, property, ...value } of values) next = ownFigure(next, { material, property }, value);
    edit(() => next);
    say(
      `${added.length} ${added.length === 1 ? 'material' : 'materials'} and ${values.length} own ${values.length === 1 ? 'figure' : 'figures'} read from ${file.name}.`,
    );
  };
  return (
    <div className="flex flex-wrap gap-1">
      <Button tone="quiet" onClick={read}>
        <Upload size={14} aria-hidden /> Read a file
      </Button>
      <Button tone="quiet" onClick={saveJson}>
        <Download size={14} aria-hidden /> Mine as JSON
      </Button>
      <Button tone="quiet" onClick={() => saveCsv(false)}>
        <Download size={14} aria-hidden /> All as CSV
      </Button>
      <Button tone="quiet" onClick={() => saveCsv(true)} title="Semicolons and decimal commas">
        <Download size={14} aria-hidden /> CSV with semicolons
      </Button>
    </div>
  );
}
