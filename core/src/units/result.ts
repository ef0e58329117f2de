/** What a reader of outside text or files gives back: the value, or a fault a person can mend. */
export type Result<T> = { ok: true; value: T } | { ok: false; fault: Fault };

/** A fault that a person caused and can mend: where it is, what is wrong, what to do. */
export interface Fault {
  code: string;
  place: string;
  message: string;
  remedy: string;
}

export const good = <T>(value: T): Result<T> => ({ ok: true, value });

export const bad = <T>(code: string, place: string, message: string, remedy: string): Result<T> => ({
  ok: false,
  fault: { code, place, message, remedy },
});
