/** 0 all is well; 1 something in the plan stops the work; 2 wrong use; 3 the file cannot be read; 4 the file is not a valid project. */
export const code = { ok: 0, stopped: 1, usage: 2, unreadable: 3, invalid: 4 } as const;

/** Says why on the error output and ends with that code. */
export function fail(exit: number, text: string): never {
  process.stderr.write(`${text}\n`);
  process.exit(exit);
}
