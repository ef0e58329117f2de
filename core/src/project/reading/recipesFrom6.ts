import { newCoat, usualRecipe, usualSurface } from '../recipes.ts';
import { everywhere } from '../schemas/zoneSchema.ts';

type Fields = Record<string, unknown>;
const fields = (value: unknown): Fields => (typeof value === 'object' && value !== null ? (value as Fields) : {});
const numberOr = (value: unknown, usual: number) => (typeof value === 'number' ? value : usual);

/** Whether a coat that was put on so often was put on at all. */
const times = (value: unknown) => Math.round(numberOr(value, 0));

/**
 * What version 6 said of its one surface, as a recipe: skin of compound, seal, base colour, dry-brush, soil and static grass. What was lost in bowls, where it was
 * not the usual 10 %, becomes the builder's own figure.
 */
export function surfaceFrom6(value: unknown): Fields {
  const old = fields(value);
  const cover = (given: unknown) => {
    const { sharePercent, notSteeperDegrees } = fields(given);
    const limit = numberOr(notSteeperDegrees, 90);
    return {
      sharePercent: numberOr(sharePercent, 0),
      when: limit < 90 ? { ...everywhere(), slope: { from: null, to: Math.max(0.01, limit) } } : everywhere(),
    };
  };
  const soil = fields(old.soil);
  const grass = fields(old.grass);
  const loss = numberOr(old.lossPercent, 10);
  const usual = usualRecipe();
  const recipe = {
    ...usual,
    roughness: numberOr(old.roughness, usual.roughness),
    coats: [
      newCoat('skin', 'skin', 'compound', { thicknessMm: numberOr(old.skinMm, 3) }),
      ...(times(old.sealCoats) ? [newCoat('seal', 'seal', 'seal coat', { coats: times(old.sealCoats) })] : []),
      ...(times(old.baseCoats) ? [newCoat('base', 'paint', 'acrylic', { coats: times(old.baseCoats) })] : []),
      ...(times(old.dryBrushTones)
        ? [newCoat('dry-brush', 'dry-brush', 'dry-brush', { coats: times(old.dryBrushTones) })]
        : []),
      ...(numberOr(soil.layerMm, 0) > 0
        ? [newCoat('soil', 'scatter', 'soil', { thicknessMm: numberOr(soil.layerMm, 1), ...cover(soil) })]
        : []),
      ...(numberOr(grass.sharePercent, 0) > 0
        ? [newCoat('grass', 'grass', `grass ${numberOr(grass.fibreMm, 2)} mm`, cover(grass))]
        : []),
    ],
  };
  return {
    surface: usualSurface(),
    recipes: [recipe],
    materials: {
      added: [],
      values:
        loss === 10
          ? []
          : [
              {
                material: 'compound',
                property: 'lossPercent',
                low: loss / 2,
                likely: loss,
                high: Math.min(90, loss * 2.5),
                note: '',
              },
            ],
    },
  };
}
