import { type Coat, operationWords } from '../../project/index.ts';
import type { Finding, Rule } from '../finding.ts';
import { coatWords, colours, onCoat, recipesWorn } from '../recipesWorn.ts';

const isColour = ({ operation }: Coat) => (colours as readonly string[]).includes(operation);
const isLoose = ({ operation }: Coat) => operation === 'scatter' || operation === 'grass' || operation === 'plant';
const isPowder = ({ operation }: Coat) => operation === 'powder';

/** What a coat does to one that lies under it; nothing where the two go together. */
function harm(under: Coat, over: Coat): { code: string; what: string } | null {
  const plaster = operationWords[over.operation].part === 'skin';
  if (plaster && (isColour(under) || isPowder(under) || isLoose(under)))
    return { code: 'coat-buried', what: 'buries what was finished under it' };
  if (over.operation === 'seal' && (isPowder(under) || isLoose(under)))
    return { code: 'coat-buried', what: 'mats and shines what was finished under it' };
  if (over.operation === 'varnish' && over.tool === 'brush' && (isPowder(under) || isLoose(under)))
    return { code: 'coat-buried', what: 'drags along what lies loose under the brush' };
  if (over.operation === 'varnish' && isPowder(under)) return { code: 'powder-under-wet', what: 'makes powder vanish' };
  if (over.operation === 'wash' && isPowder(under)) return { code: 'powder-under-wet', what: 'floats powder off' };
  return null;
}

/** Paint, powder, soil or grass that comes before plaster, a seal, a varnish or a wash, and is spoilt by it. */
export const buriedCoats: Rule = (view) =>
  recipesWorn(view).flatMap((recipe) =>
    recipe.coats.flatMap((over, at): Finding[] => {
      const under = recipe.coats.findIndex((coat, k) => k < at && harm(coat, over) !== null);
      const harmed = under < 0 ? null : harm(recipe.coats[under], over);
      if (!harmed) return [];
      return [
        onCoat(
          'warn',
          recipe,
          over,
          harmed.code,
          `${recipe.name}: ${coatWords(over)} comes over ${coatWords(recipe.coats[under])} and ${harmed.what}.`,
          `Move it under ${coatWords(recipe.coats[under])}.`,
          under,
        ),
      ];
    }),
  );
