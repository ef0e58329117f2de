import {
  changeCoat,
  fieldLimits,
  moveCoat,
  type PlanReport,
  putRecipe,
  type Recipe,
  readRecipe,
  recipeOf,
  removeRecipe,
  shippedRecipes,
  takeRecipe,
  wear,
  writeRecipe,
} from '@hosket/core';
import { Copy, Download, Trash2, Upload } from 'lucide-react';
import { fileStem } from '../../store/fileStem.ts';
import { edit, projectNow, useProject } from '../../store/projectStore.ts';
import { usePicked } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { download } from '../../ui/download.ts';
import { ChoiceField, NumberField, WordsField } from '../../ui/Field.tsx';
import { pickFile } from '../../ui/pickFile.ts';
import { sayWrong } from '../../ui/toast.tsx';
import { BuildUp } from './BuildUp.tsx';
import { pickedWearer, wearersOf } from './wearers.ts';

/** What the picked zone wears: which recipe, and that recipe as a build-up whose coats can be moved, changed, added and taken out. */
export function RecipePanel({ report }: { report: PlanReport }) {
  const project = useProject();
  const key = usePicked((state) => state.zone);
  const all = wearersOf(project, report);
  const worn = pickedWearer(all, key);
  const bare = worn.recipe === null && (worn.key === 'edges' || worn.key === 'walls');
  const recipe = recipeOf(project, worn.recipe);
  const others = all.filter(
    (one) => one.key !== worn.key && !bareOf(one) && recipeOf(project, one.recipe).id === recipe.id,
  );
  const dress = (id: string) => {
    if (id === 'none') return edit((p) => wear(p, worn.wearer, null));
    const shipped = shippedRecipes.find((one) => `shipped ${one.id}` === id);
    edit((p) => {
      if (!shipped) return wear(p, worn.wearer, id);
      const taken = takeRecipe(p, shipped);
      return wear(taken.project, worn.wearer, taken.id);
    });
  };
  return (
    <section aria-label="Recipe" className="min-w-0">
      <div className="mb-2 flex flex-wrap items-end gap-2">
        <h2 className="mr-2 text-base">On {worn.name}</h2>
        <div className="min-w-[210px]">
          <ChoiceField
            hideLabel
            label={`Recipe of ${worn.name}`}
            value={bare || (worn.recipe === null && worn.key !== 'rest') ? 'none' : recipe.id}
            options={[
              ...(worn.key === 'rest'
                ? []
                : [
                    {
                      value: 'none',
                      text:
                        bare || worn.key === 'edges' || worn.key === 'walls'
                          ? 'nothing'
                          : `as everything else: ${recipeOf(project, null).name}`,
                    },
                  ]),
              ...project.recipes.map(({ id, name }) => ({ value: id, text: name })),
              ...shippedRecipes.map(({ id, name }) => ({ value: `shipped ${id}`, text: `begin with: ${name}` })),
            ]}
            onValue={dress}
          />
        </div>
        {!bare && <RecipeTools recipe={recipe} onWear={(id) => edit((p) => wear(p, worn.wearer, id))} />}
      </div>
      {bare ? (
        <p className="text-sm text-muted">{worn.name} have nothing on them yet. Choose a recipe for them above.</p>
      ) : (
        <>
          {others.length > 0 && (
            <p className="mb-2 text-xs text-muted">
              Also worn by {others.map(({ name }) => name).join(', ')}: a change here counts there too. Copy it to
              change it for {worn.name} alone.
            </p>
          )}
          <RecipeFields recipe={recipe} />
          <BuildUp
            findings={report.findings.filter(
              ({ coat, overruled }) => coat?.recipe === recipe.id && overruled === undefined,
            )}
            recipe={recipe}
            onMove={(id, to) => edit((p) => putRecipe(p, moveCoat(recipe, id, to)))}
            onCoat={(id, change) => edit((p) => putRecipe(p, changeCoat(recipe, id, change)))}
            onRecipe={(next) => edit((p) => putRecipe(p, next))}
          />
        </>
      )}
    </section>
  );
}

const bareOf = (one: { key: string; recipe: string | null }) =>
  one.recipe === null && (one.key === 'edges' || one.key === 'walls');

function RecipeFields({ recipe }: { recipe: Recipe }) {
  const change = (by: Partial<Recipe>) => edit((p) => putRecipe(p, { ...recipe, ...by }));
  return (
    <div className="mb-2 grid grid-cols-[minmax(0,1fr)_90px] gap-2">
      <WordsField required label="Name of the recipe" value={recipe.name} onValue={(name) => change({ name })} />
      <NumberField
        label="Roughness"
        value={recipe.roughness}
        {...fieldLimits('recipes.roughness')}
        onValue={(roughness) => change({ roughness })}
      />
      <div className="col-span-2">
        <WordsField label="Note" most={1000} value={recipe.note} onValue={(note) => change({ note })} />
      </div>
    </div>
  );
}

/** Copy, share, read and take away. */
function RecipeTools({ recipe, onWear }: { recipe: Recipe; onWear: (id: string) => void }) {
  const project = useProject();
  const copy = () => {
    const taken = takeRecipe(projectNow(), { ...recipe, name: `${recipe.name.slice(0, 110)}, copy` });
    edit(() => taken.project);
    onWear(taken.id);
  };
  const read = async () => {
    const file = await pickFile('.json,application/json');
    if (!file) return;
    const got = readRecipe(await file.text());
    if (!got.ok)
      return sayWrong(`${file.name} was not read.\n${got.fault.place}: ${got.fault.message}\n${got.fault.remedy}`);
    const now = projectNow();
    const known = new Set(now.materials.added.map(({ id }) => id));
    const fresh = got.value.materials.filter(({ id }) => !known.has(id));
    const withMaterials = { ...now, materials: { ...now.materials, added: [...now.materials.added, ...fresh] } };
    const taken = takeRecipe(withMaterials, got.value.recipe);
    edit(() => taken.project);
    onWear(taken.id);
  };
  return (
    <div className="flex flex-wrap gap-1">
      <Button tone="quiet" onClick={copy}>
        <Copy size={14} aria-hidden /> Copy
      </Button>
      <Button
        tone="quiet"
        onClick={() =>
          download(
            new Blob([writeRecipe(recipe, project.materials)], { type: 'application/json' }),
            `${fileStem(recipe.name)}.hosket-recipe.json`,
          )
        }
      >
        <Download size={14} aria-hidden /> Save as a file
      </Button>
      <Button tone="quiet" onClick={read}>
        <Upload size={14} aria-hidden /> Read from a file
      </Button>
      <Button
        tone="quiet"
        disabled={project.surface.recipe === recipe.id || project.recipes.length < 2}
        onClick={() => edit((p) => removeRecipe(p, recipe.id))}
      >
        <Trash2 size={14} aria-hidden /> Remove
      </Button>
    </div>
  );
}
