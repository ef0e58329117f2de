import { thinningOf } from '../materials/index.ts';
import { type Amount, atLeast, scaleRange } from '../units/index.ts';
import { amountOf, over, reworked, times } from './amounts.ts';
import { leastPerColour, roughnessOf } from './common.ts';
import { dryMass, hadOf, handsOnOf, hoursOf, lossOf, maybe, type StepAmounts, type StepContext } from './context.ts';
import { mixParts } from './mixParts.ts';
import { cm2, type TakenMaterial } from './stage.ts';
import { touchedBy, touchedMm2 } from './wornSurface.ts';

/** Seal, paint, wash, glaze, dry-brush, varnish: by what a litre covers, and never less than can be squeezed out of a colour. */
export function thinAmounts(context: StepContext): StepAmounts {
  const { catalogue, material, worn } = context;
  const known = catalogue.material(material);
  const name = known?.name ?? material;
  const { operation, coats, colour, thinParts } = worn[0].coat;
  const tones = operation === 'dry-brush';
  const word = tones ? 'tone' : 'coat';
  const areaMm2 = touchedBy(worn);
  const square = worn.reduce((all, one) => all + touchedMm2(one) * one.coat.coats, 0);
  const inputs = [cm2('true surface', areaMm2), { name: tones ? 'tones' : 'coats', value: coats, unit: '' }];
  const loss = lossOf(context);
  // Where what is lost is counted in what a litre covers, what the texture adds is too.
  const rough = loss.length ? [times(roughnessOf(worn))] : [];
  const words = loss.length
    ? `true surface x roughness x ${word}s / spread / (1 - loss)`
    : `true surface x ${word}s / spread`;
  const laid = amountOf('ml', square / 1000, words, inputs, [
    ...rough,
    over(catalogue.need(material, 'spreadM2PerL')),
    ...loss,
  ]);
  const water = thinParts ?? catalogue.figure(material, 'thinParts')?.likely ?? 0;
  const thinned = known?.facts.includes('spreads thinned') ?? false;
  // The least that can be mixed is of what is brushed on; several tones are one pot that is lightened.
  const enough = atLeastOf(laid, leastPerColour);
  const paint = thinned ? reworked(enough, scaleRange(enough, 1 / (1 + water)), `1 part in ${1 + water}`) : enough;
  const thinning: TakenMaterial[] =
    water > 0
      ? thinningOf(catalogue, material).map(({ material: of, name: called, share }) => ({
          name: called,
          amount: reworked(paint, scaleRange(paint, water * share), `x ${water * share}`),
          ...(of && { material: of }),
        }))
      : [];
  const stirred = mixParts(material, paint);
  const often = coats > 1 ? `, ${coats} ${word}s` : '';
  return {
    title: `${colour ? `${lead(operation)} ${colour}, ${name[0].toLowerCase()}${name.slice(1)}` : name}${often}`,
    areaMm2,
    materials: [{ name, amount: paint, ...(stirred.length ? {} : hadOf(context)) }, ...stirred, ...thinning],
    handsOn: handsOnOf(context, square, 1),
    batches: null,
    coats,
    coatWord: word,
    drying: hoursOf(context, 'a thin coat'),
    dryG: dryMass(
      amountOf('ml', square / 1000, '', [], [...rough, over(catalogue.need(material, 'spreadM2PerL'))]),
      context,
    ),
  };
}

const lead = (operation: string) => operation[0].toUpperCase() + operation.slice(1);

const atLeastOf = (paint: Amount, least: { low: number; likely: number; high: number }): Amount =>
  paint.likely < least.likely
    ? reworked(paint, atLeast(paint, least), `but at least ${leastPerColour.likely} ml of a colour`)
    : paint;

/** Powders brushed on: by what stays on the ground that is touched. */
export function powderAmounts(context: StepContext): StepAmounts {
  const { catalogue, material, worn } = context;
  const name = catalogue.material(material)?.name ?? material;
  const areaMm2 = touchedBy(worn);
  const inputs = [cm2('touched', areaMm2)];
  const dust = amountOf('g', areaMm2 / 1e4, 'touched x powder / (1 - loss)', inputs, [
    ...maybe(context, 'dustG'),
    ...lossOf(context),
  ]);
  return {
    title: worn[0].coat.colour ? `${name}, ${worn[0].coat.colour}` : name,
    areaMm2,
    materials: [{ name, amount: dust, ...hadOf(context) }],
    handsOn: handsOnOf(context, areaMm2, 1),
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: hoursOf(context, 'fixed powder'),
    dryG: amountOf('g', areaMm2 / 1e4, '', [], maybe(context, 'dustG')),
  };
}
