import { heightIs, heightParts, nameOf, skinMmOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';

/** A finished height in a project of bare foam that its skin alone is as thick as: no foam is left under it, and the board stays bare. */
export const underTheSkin: Rule = ({ project }) => {
  if (project.heights !== 'foam') return [];
  const skinMm = skinMmOf(project);
  return [...project.marks, ...project.landforms].flatMap((item) => {
    if (heightIs('foam', item) !== 'ground' || item.kind === 'span') return [];
    const fields = item as unknown as Record<string, number | null>;
    const low = heightParts(item).find(({ key, sense }) => {
      const height = fields[key];
      return sense === 'height' && typeof height === 'number' && height > 0 && height <= skinMm;
    });
    if (!low) return [];
    const height = fields[low.key] ?? 0;
    return [
      onGround(
        item.id,
        nameOf(item),
        'under-the-skin',
        `${nameOf(item)} is to be finished at ${mm(height)}, and its skin alone is ${mm(skinMm)} thick: no foam is left under it, and the board stays bare there.`,
        'Make it higher than its skin, or mean its height as bare foam.',
      ),
    ];
  });
};
