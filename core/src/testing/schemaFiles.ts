import { z } from 'zod';
import { projectSchema } from '../project/index.ts';
import { planReportSchema } from '../report/index.ts';

/** The JSON Schemas kept in docs/, as text. */
export const schemaFiles = (): { file: string; text: string }[] =>
  [
    { file: 'project.schema.json', title: 'Hosket project', schema: projectSchema },
    { file: 'plan.schema.json', title: 'Hosket plan, as printed by "hosket plan --json"', schema: planReportSchema },
  ].map(({ file, title, schema }) => ({
    file,
    text: `${JSON.stringify({ title, ...z.toJSONSchema(schema, { io: 'input' }) }, null, 2)}\n`,
  }));
