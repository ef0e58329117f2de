import { catalogueOf, glueOf } from '../../materials/index.ts';
import type { Rule } from '../finding.ts';

export const slowJoints: Rule = ({ joints, project }) => {
  const slowest = joints.reduce((a, b) => (b.dry.likely > a.dry.likely ? b : a), {
    joint: 0,
    between: '',
    dry: { likely: 0 },
  });
  const days = slowest.dry.likely / 24;
  if (days < 5) return [];
  const byWater = glueOf(project.stacking.glue, catalogueOf(project.materials)).drying.kind === 'water';
  return [
    {
      code: 'joint-slow',
      severity: 'note',
      band: 'layers',
      place: `Joint ${slowest.joint}, ${slowest.between}`,
      message: `${project.stacking.glue} between ${slowest.between} dries inside for about ${Math.round(days)} days${byWater ? ': its water can only leave through the foam' : ' in this air'}. It holds long before, and work goes on.`,
      remedy: byWater
        ? 'Only what its moisture would spoil waits for it: resin that touches the joint, a shut box. Polyurethane or foam-safe contact spray would be dry sooner.'
        : 'Work in a warmer, drier room, or use foam-safe contact spray.',
    },
  ];
};
