/** 0 all is well; 1 something in the plan stops the work; 2 wrong use; 3 the file cannot be read; 4 the file is not a valid project; 5 the command failed, which it should not. */
export const code = { ok: 0, stopped: 1, usage: 2, unreadable: 3, invalid: 4, failed: 5 } as const;

/** Why a command cannot be carried out, and the code to end with. */
export class Failed extends Error {
  readonly exit: number;
  constructor(exit: number, text: string) {
    super(text);
    this.exit = exit;
  }
}

export function fail(exit: number, text: string): never {
  throw new Failed(exit, text);
}

/** Where a command writes. */
export interface Output {
  out: (text: string) => void;
  err: (text: string) => void;
}
