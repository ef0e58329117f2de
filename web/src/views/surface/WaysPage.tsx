import {
  compareWays,
  decimals,
  doneIn,
  type Part,
  type PlanReport,
  parts,
  putRecipe,
  recipeOf,
  sayHours,
  sayMinutes,
  takeRecipe,
  type Way,
  type WayRead,
  wayOf,
  wear,
} from '@hosket/core';
import { useMemo, useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickZone, usePicked } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';
import { GluesTable } from './GluesTable.tsx';
import { pickedWearer, type Worn, wearersOf } from './wearers.ts';

type Compared = Part | 'joints';
const partWords: Record<Compared, string> = {
  joints: 'Joints of the stack',
  skin: 'Skin',
  seal: 'Seal',
  colour: 'Colour',
  cover: 'Cover',
  edge: 'Sides and walls',
};

/** One part of a recipe in every way it may be done, side by side: which takes one evening, and which three? */
export function WaysPage({ report }: { report: PlanReport }) {
  const project = useProject();
  const key = usePicked((state) => state.zone);
  const all = useMemo(() => wearersOf(project, report), [project, report]);
  const worn = pickedWearer(all, key);
  const dressed = worn.key === 'edges' || worn.key === 'walls';
  const [asked, setPart] = useState<Compared>('colour');
  const joints = asked === 'joints';
  const part: Part = dressed ? 'edge' : asked === 'edge' || asked === 'joints' ? 'colour' : asked;
  const recipe = recipeOf(project, worn.recipe);
  const bare = dressed && worn.recipe === null;
  const { same, reads } = useMemo(() => {
    const zones = bare
      ? [worn]
      : wearersOf(project, report).filter(
          (one) => isDressed(one) === dressed && wornRecipe(project, one) === recipe.id && one.trueMm2 > 1,
        );
    const shown = bare ? { ...recipe, coats: [] } : recipe;
    const surfaces = zones.map((one) => comparedOf(report, one, shown));
    return { same: zones, reads: compareWays(project, surfaces, part) };
  }, [project, report, part, recipe, bare, dressed, worn]);
  const now = bare ? null : wayOf(recipe, part);
  /** What wears nothing yet gets a recipe of that way alone. */
  const take = (way: Way) =>
    edit((p) => {
      if (!bare) return putRecipe(p, doneIn(recipe, way));
      const fresh = { id: way.id, name: way.name, note: '', roughness: 1, coats: [...way.coats] };
      const taken = takeRecipe(p, fresh);
      return wear(taken.project, worn.wearer, taken.id);
    });
  const priced = reads.some(({ money }) => money !== null);
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-end gap-3">
        {!joints && (
          <ChoiceField
            label="Zone"
            value={worn.key}
            options={all.map((one) => ({ value: one.key, text: one.name }))}
            onValue={pickZone}
          />
        )}
        <ChoiceField
          label="Part of the work"
          value={joints ? 'joints' : part}
          options={(dressed
            ? (['joints', 'edge'] as const)
            : (['joints', ...parts.filter((one) => one !== 'edge')] as const)
          ).map((one) => ({
            value: one,
            text: partWords[one],
          }))}
          onValue={setPart}
        />
        <p className="flex-1 text-sm text-muted">
          {joints
            ? 'Every glue on the joints of this stack in your air. Foam-safe kinds only; the layers stay where they are.'
            : bare
              ? `${worn.name} have nothing on them yet.`
              : `Recipe ${recipe.name}, on ${same.map(({ name }) => name).join(', ')}. The stack stays as it is. Evenings are your own sittings with nothing else to do.`}
        </p>
      </div>
      {joints ? (
        <GluesTable report={report} />
      ) : (
        <Table>
          <Heads
            of={[
              'Way',
              'Takes',
              { number: 'Coats' },
              { number: 'Hands-on' },
              { number: 'Sittings' },
              { number: 'Next may begin' },
              { number: 'Weighs' },
              ...(priced ? [{ number: 'Costs' }] : []),
              '',
            ]}
          />
          <tbody>
            {reads.map((read) => (
              <WayRow
                key={read.way?.id ?? 'now'}
                read={read}
                chosen={read.way === null ? now === null : read.way.id === now?.id}
                hidden={read.way === null && now !== null}
                onTake={() => read.way && take(read.way)}
                priced={priced}
              />
            ))}
          </tbody>
        </Table>
      )}
      {(joints || !priced) && (
        <p className="mt-2 text-xs text-muted">
          Costs are shown once materials have a price: packs in the shopping list (Stores), or a figure under Materials.
        </p>
      )}
    </div>
  );
}

const isDressed = (one: Worn) => one.key === 'edges' || one.key === 'walls';
const wornRecipe = (project: Parameters<typeof recipeOf>[0], one: Worn) =>
  isDressed(one) && one.recipe === null ? null : recipeOf(project, one.recipe).id;

function comparedOf(report: PlanReport, { key, name, trueMm2 }: Worn, recipe: ReturnType<typeof recipeOf>) {
  const zone = report.surfaces.find(({ id }) => (id ?? 'rest') === key);
  const side = key === 'edges' ? report.dressed[0] : undefined;
  return {
    id: key,
    name,
    recipe,
    trueMm2,
    fillMl: zone?.fillMl ?? 0,
    skinMl: zone?.skinMl ?? null,
    most95Mm: zone?.most95Mm ?? 0,
    lengthM: side?.lengthM ?? 0,
    coatMm2: zone?.coatMm2 ?? null,
  };
}

interface RowProps {
  read: WayRead;
  chosen: boolean;
  hidden: boolean;
  priced: boolean;
  onTake: () => void;
}

function WayRow({ read, chosen, hidden, priced, onTake }: RowProps) {
  const say = useSay();
  const { currency } = useProject();
  if (hidden || (read.way === null && !read.stages.length)) return null;
  const { way, stages, coats, handsOnMin, evenings, untilNextH, dryG, money } = read;
  const name = way?.name ?? 'As it is now';
  return (
    <tr aria-label={name} data-chosen={chosen}>
      <th scope="row" className={chosen ? '!border-l-[3px] !border-l-clay !pl-2' : undefined}>
        {name}
        <span className="block text-xs text-muted">{way?.when ?? 'Made your own.'}</span>
      </th>
      <td className="text-xs">
        {stages.map(({ id, materials: [main], batches }) => (
          <span key={id} className="block">
            <Figure text={amountText(main.amount.likely, main.amount.unit, say)} /> {main.name.toLowerCase()}
            {batches && batches.of === 'bowl' && batches.count > 1 && `, ${batches.count} bowls`}
          </span>
        ))}
      </td>
      <td className="number">
        <Figure text={String(coats)} />
      </td>
      <td className="number">
        <Figure text={sayMinutes(handsOnMin)} />
      </td>
      <td className="number">
        <Figure text={evenings === null ? 'no hours' : String(evenings)} />
      </td>
      <td className="number">
        <Figure text={untilNextH === null ? '–' : `after ${sayHours(untilNextH)}`} />
      </td>
      <td className="number">
        <Figure text={say.mass(dryG.likely)} />
      </td>
      {priced && (
        <td className="number">
          <Figure text={money === null ? 'no price' : `${decimals(money, 2)} ${currency}`} />
        </td>
      )}
      <td className="number">
        {chosen ? (
          <span className="text-xs text-muted">chosen</span>
        ) : (
          <Button aria-label={`Do it this way: ${name}`} onClick={onTake}>
            Take
          </Button>
        )}
      </td>
    </tr>
  );
}

function amountText(value: number, unit: string, say: ReturnType<typeof useSay>): string {
  if (unit === 'ml') return say.volume(value);
  if (unit === 'g') return say.mass(value);
  if (unit === 'mm2') return say.area(value);
  return String(Math.round(value));
}
