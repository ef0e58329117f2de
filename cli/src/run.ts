import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import type { Wanted } from './commands.ts';
import { code, Failed, fail, type Output } from './exit.ts';

const usage = `hosket: plans the groundwork of dioramas and gaming boards

  hosket plan FILE [--json] [--imperial]   heights, stack, amounts, waits and finish of a project
  hosket check FILE                        whether a project file is sound, and what stands against the plan
  hosket nest FILE --out FILE [--tries N]  lays the pieces on the sheets again, so many tries for each kind (2000), and writes the project
  hosket templates FILE --out FILE         the templates as a PDF at full size
  hosket sheet FILE --out FILE [--large]   the bench sheet of the open tile and the shopping list of its set as a PDF
  hosket stages FILE                       how long each stage of the plan takes: from nothing, and after the first height is raised by 1 mm
  hosket shopping FILE [--semicolons]      the shopping list of all tiles as CSV, with semicolons and decimal commas where they are wanted

Exit codes: 0 well, 1 something stops the work, 2 wrong use, 3 file cannot be read, 4 not a valid project, 5 it failed at what it was to do.
`;

/** Tries for each kind of sheet, unless told otherwise. */
const USUAL_TRIES = 2000;

const commands = ['plan', 'check', 'nest', 'templates', 'sheet', 'shopping', 'stages'] as const;
const isCommand = (word: string): word is Wanted['command'] => commands.some((each) => each === word);

function textOf(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    const { code: why } = error as NodeJS.ErrnoException;
    const reason = why === 'ENOENT' ? 'there is no such file' : why === 'EISDIR' ? 'that is a folder' : String(why);
    fail(code.unreadable, `hosket: ${file}: ${reason}\n  Give the path of a *.hosket.json file.`);
  }
}

/** Carries out what was written after `hosket`, and gives the code to end with. */
export async function run(words: readonly string[], output: Output): Promise<{ exit: number }> {
  try {
    return { exit: await obey(words, output) };
  } catch (error) {
    if (error instanceof Failed) {
      output.err(`${error.message}\n`);
      return { exit: error.exit };
    }
    // A line for the one who asked; a trace would tell them nothing.
    const why = (error as Error).message.split('\n')[0];
    output.err(`hosket: this file could not be worked out: ${why}\n  Please report it with the file.\n`);
    return { exit: code.failed };
  }
}

async function obey(words: readonly string[], output: Output): Promise<number> {
  let parsed: ReturnType<typeof parse>;
  try {
    parsed = parse(words);
  } catch (error) {
    fail(code.usage, `hosket: ${(error as Error).message}\n\n${usage}`);
  }
  const { values, positionals } = parsed;
  if (values.help || !positionals.length) {
    output.out(usage);
    return values.help ? code.ok : code.usage;
  }
  const [command, file, ...rest] = positionals;
  if (!isCommand(command)) fail(code.usage, `hosket: "${command}" is not a command\n\n${usage}`);
  if (!file || rest.length) fail(code.usage, `hosket: ${command} takes one file\n\n${usage}`);
  const tries = Number(values.tries ?? USUAL_TRIES);
  if (!Number.isInteger(tries) || tries < 1)
    fail(code.usage, `hosket: --tries takes a whole number from 1\n\n${usage}`);
  if (['nest', 'templates', 'sheet'].includes(command) && !values.out)
    fail(code.usage, `hosket: ${command} needs --out and the file to write\n\n${usage}`);
  const text = textOf(file);
  // The planner is loaded only now: wrong use is told at once.
  const { carryOut } = await import('./commands.ts');
  const { json = false, imperial = false, semicolons = false, large = false, out = '' } = values;
  return carryOut({ command, file, text, out, tries, json, imperial, semicolons, large }, output);
}

function parse(words: readonly string[]) {
  // Node's own parser: seven commands and six options need no other.
  return parseArgs({
    args: [...words],
    allowPositionals: true,
    options: {
      json: { type: 'boolean' },
      imperial: { type: 'boolean' },
      semicolons: { type: 'boolean' },
      large: { type: 'boolean' },
      out: { type: 'string' },
      tries: { type: 'string' },
      help: { type: 'boolean', short: 'h' },
    },
  });
}
