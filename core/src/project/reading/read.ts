import type { z } from 'zod';
import { bad, type Fault, good, type Result } from '../../units/index.ts';
import { untouchedNest, usualCutting, usualPaper } from '../cutting.ts';
import { PROJECT_FORMAT, PROJECT_VERSION, type Project, projectSchema } from '../schemas/schema.ts';
import { emptyStores, usualSupport } from '../schemas/storesSchema.ts';
import { untouchedStack, usualStacking } from '../stacking.ts';
import { newTile } from '../tiles.ts';
import { surfaceFrom6 } from './recipesFrom6.ts';
import { faultOfWhole } from './sound.ts';

/** Turns a document of version n into one of version n + 1; the entry at n. Chained until the present version is reached. */
export type Migrations = Readonly<Record<number, (document: Record<string, unknown>) => Record<string, unknown>>>;

type Fields = Record<string, unknown>;
/** A list with each of its entries changed; what is no list is none, and entries that are none are left to be refused. */
const eachOf = (value: unknown, change: (entry: Fields) => unknown): unknown[] =>
  Array.isArray(value)
    ? value.map((entry) =>
        typeof entry === 'object' && entry !== null && !Array.isArray(entry) ? change(entry) : entry,
      )
    : [];

const migrations: Migrations = {
  /** Version 1 knew straight contours and spots only, and one point of a spot was `at`. */
  1: (document) => ({
    ...document,
    marks: eachOf(document.marks, ({ at, ...mark }) => ({
      ...mark,
      hidden: false,
      locked: false,
      ...(mark.kind === 'spot' ? { points: [at] } : { smooth: false }),
    })),
    landforms: [],
    laid: [],
  }),
  /** Version 2 knew no envelope, no limits and nothing that stands on the ground. */
  2: (document) => ({
    ...document,
    distance: null,
    base: { ...(document.base as Fields), frame: null },
    envelope: { box: null, swingMm: null },
    limits: { dueDate: null, weightG: null, cost: null, benchHours: null, rules: [] },
    judging: { tiltDegrees: 20, unevenMm: 1.5, wayMm: 30 },
    laid: eachOf(document.laid, (thing) => ({ ...thing, marginMm: 0 })),
    things: [],
  }),
  /** Version 3 knew one tile, no voids, no zones and nothing brought in from outside. */
  3: (document) => ({
    ...document,
    terrain: null,
    underlay: null,
    voids: [],
    patches: [],
    zones: { rules: [], rest: 'grass' },
    profiles: [],
    tile: newTile('tile-1', 'Tile 1'),
    tiles: [],
  }),
  /** Version 4 knew no offcuts, one foam anywhere, solid layers and the cheapest stack only. */
  4: (document) => ({
    ...document,
    sheets: eachOf(document.sheets, (sheet) => ({
      ...sheet,
      own: null,
      tolerance: sheet.toleranceMm === null ? 'usual' : 'own',
      buyable: false,
      place: '',
      limit: { kind: 'anywhere' },
    })),
    offcuts: [],
    stack: untouchedStack(),
    tiles: eachOf(document.tiles, (tile) => ({ ...tile, stack: untouchedStack() })),
    stacking: carriedStacking(document.stacking),
  }),
  /** Version 5 knew layers, but not how they are cut into pieces and laid on sheets. */
  5: (document) => ({
    ...document,
    sheets: eachOf(document.sheets, (sheet) => ({ ...sheet, grain: false })),
    nest: untouchedNest(),
    tiles: eachOf(document.tiles, (tile) => ({ ...tile, nest: untouchedNest() })),
    cutting: usualCutting(),
    paper: usualPaper(),
  }),
  /** Version 6 knew one surface of one paste, and rules that did not ask for the edge. */
  6: (document) => ({
    ...document,
    ...surfaceFrom6(document.surface),
    patches: eachOf(document.patches, (patch) => ({ ...patch, recipe: null })),
    rows: [],
    counts: [],
    zones: carriedZones(document.zones),
    tiles: eachOf(document.tiles, (tile) => ({
      ...tile,
      rows: [],
      patches: eachOf(tile.patches, (patch) => ({ ...patch, recipe: null })),
    })),
  }),
  /** Version 7 knew no cupboard, no packs and prices, nothing done, nothing overruled, and not what the piece stands on. */
  7: (document) => ({ ...document, stores: emptyStores(), overruled: [], support: usualSupport() }),
  /** Version 8 knew nothing of weights on a stack, nor how sure a date was wanted. */
  8: (document) => ({
    ...document,
    stacking: withField(document.stacking, { pressed: true }),
    limits: withField(document.limits, { sureOf: 80 }),
  }),
  /** Up to version 9 all heights were of finished ground, and no day had a price. */
  9: (document) => ({ ...document, heights: 'ground', stacking: withCosts(document.stacking, { minPerDay: 10 }) }),
  /** Up to version 10 a layer cost the same however large, carving the same with any tool, and no level could be moved. */
  10: (document) => ({
    ...document,
    stacking: withCosts(document.stacking, {
      outlineMinPerM: 0,
      gluedMinPerDm2: 0,
      tool: 'rasp',
      carveMinPerM: 0,
      flatMinPerDm2: 0,
      perMoveMin: 2,
      moveMinPerMm: 1,
    }),
  }),
  /** Version 11 knew round things only, flush boards, nothing laid in that stood on a deck, and no upright parts. */
  11: (document) => ({
    ...document,
    panels: [],
    tiles: eachOf(document.tiles, (tile) => ({ ...tile, panels: [] })),
  }),
  /** Version 12 knew no base with an opening, and one figure for filling with any paste. */
  12: (document) => document,
};

/** What was stated about costs, with what came in later. */
const withCosts = (stacking: unknown, fields: Fields): unknown =>
  typeof stacking === 'object' && stacking !== null
    ? { ...stacking, costs: withField((stacking as Fields).costs, fields) }
    : stacking;

/** A part of a document with a field that came in later; what is no such part is left to be refused. */
const withField = (part: unknown, field: Fields): unknown =>
  typeof part === 'object' && part !== null && !Array.isArray(part) ? { ...field, ...part } : part;

const carriedZones = (zones: unknown): unknown =>
  typeof zones === 'object' && zones !== null && 'rules' in zones
    ? {
        ...zones,
        rules: eachOf(zones.rules, (rule) => ({
          ...rule,
          recipe: null,
          when: { ...(rule.when as Fields), edge: null },
        })),
      }
    : zones;

/** The stacking of version 4 with what came in later at its usual values; what is no stacking at all is left to be refused. */
const carriedStacking = (stacking: unknown): unknown =>
  typeof stacking === 'object' && stacking !== null
    ? {
        ...usualStacking(),
        ...stacking,
        costs: { ...usualStacking().costs, ...('costs' in stacking ? (stacking.costs as Fields) : {}) },
      }
    : stacking;

/** `marks[3].heightMm`: where in the file something stands. */
export const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) => (typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key)),
    '',
  );

const issueText = (issue: z.core.$ZodIssue) => {
  const where = pathText(issue.path);
  return where ? `${where}: ${issue.message}` : issue.message;
};

/** Carries a document to the present version, step by step. */
export function migrate(
  document: Record<string, unknown>,
  chain: Migrations = migrations,
  present: number = PROJECT_VERSION,
): Result<Record<string, unknown>> {
  const version = document.version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return bad(
      'version',
      'version',
      'The file does not say which version of the format it is.',
      'Export it again from Hosket.',
    );
  if (version > present)
    return bad(
      'version',
      'version',
      `The file is version ${version}; this Hosket reads up to version ${present}.`,
      'Open it with a newer Hosket.',
    );
  let carried = document;
  for (let at = version; at < present; at++) {
    const step = chain[at];
    if (!step)
      return bad(
        'version',
        'version',
        `There is no way from version ${at} to ${at + 1}.`,
        'Report this file: it should open.',
      );
    carried = { ...step(carried), version: at + 1 };
  }
  return good(carried);
}

/**
 * Whether a changed project can still be written to a file and read again: only what was changed is looked at. An edit that goes over a limit of the format is told
 * here, before it is made.
 */
export function faultOfEdit(before: Project, next: Project): Fault | null {
  for (const key of Object.keys(projectSchema.shape) as (keyof Project)[]) {
    if (before[key] === next[key]) continue;
    const read = projectSchema.shape[key].safeParse(next[key]);
    if (read.success) continue;
    const [issue] = read.error.issues;
    return {
      code: 'value',
      place: pathText([key, ...issue.path]),
      message: `That does not go: ${issue.message}.`,
      remedy: 'Nothing was changed.',
    };
  }
  const whole = faultOfWhole(next, before);
  return whole && { ...whole, message: `That does not go: ${whole.message}`, remedy: 'Nothing was changed.' };
}

/**
 * Reads a project from a parsed document; says which path is wrong and why. `kept`: one that Hosket itself kept is opened as it was, also where an
 * older one let something through that is refused now.
 */
export function parseProject(document: unknown, kept = false): Result<Project> {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return bad('shape', '(whole file)', 'The file holds no project.', 'Choose a *.hosket.json file.');
  const fields = document as Record<string, unknown>;
  if (fields.format !== PROJECT_FORMAT)
    return bad(
      'format',
      'format',
      `The file is not a Hosket project: "format" should be "${PROJECT_FORMAT}".`,
      'Choose a *.hosket.json file.',
    );
  const carried = migrate(fields);
  if (!carried.ok) return carried;
  const parsed = projectSchema.safeParse(carried.value);
  if (parsed.success) {
    const whole = kept ? null : faultOfWhole(parsed.data);
    return whole ? { ok: false, fault: whole } : good(parsed.data);
  }
  const issues = parsed.error.issues;
  const shown = issues.slice(0, 5).map(issueText).join('; ');
  const more = issues.length > 5 ? `; and ${issues.length - 5} more` : '';
  return bad(
    'value',
    pathText(issues[0].path) || '(whole file)',
    `${shown}${more}`,
    'Correct the value at that place, or export the project again.',
  );
}

/** Reads the text of a JSON file, with or without a byte order mark. */
export function readJson(text: string): Result<unknown> {
  if (!text.trim())
    return bad('empty', '(whole file)', 'The file is empty.', 'Choose another file, or export it again.');
  try {
    return good(JSON.parse(text.replace(/^\uFEFF/, '')));
  } catch (error) {
    return bad(
      'json',
      '(whole file)',
      `The file is not readable JSON: ${(error as Error).message}.`,
      'It may be cut short; export it again.',
    );
  }
}

/** Reads a project from the text of a file. */
export function readProject(text: string): Result<Project> {
  const document = readJson(text);
  return document.ok ? parseProject(document.value) : document;
}

/** The text of a project file: the same project always gives the same text, its fields in the order of the format. */
export function writeProject(project: Project): string {
  const ordered = projectSchema.safeParse(project);
  return `${JSON.stringify(ordered.success ? ordered.data : project, null, 2)}\n`;
}
