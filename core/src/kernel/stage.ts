/**
 * A plan is worked out by stages: each reads some of the input and the results of other stages, and is run again only when something it read
 * has changed. Nothing here knows what the stages work out.
 */

/** What a stage is given. */
export interface Given<I, N> {
  /** A view of the input: what is read of it is noted. */
  input: I;
  /** The results of the stages that it needs, by its own names for them. */
  needs: N;
  /** Its own last result, to begin from: of the kind that it gives. */
  before: unknown;
  /** An answer near the truth will do, soon to be asked for again. */
  quick: boolean;
  /** The result of a stage that is known only while this one runs. It counts as needed. */
  ask: <W>(stage: Stage<I, W>) => Generator<undefined, W>;
}

/** What tells whether a stage may lag. Nothing of it is noted: a quick answer may look where it will. */
export interface Lag<I, N, V> {
  input: I;
  needs: N;
  before: V;
  /** The result of another stage by its name, where this run has it already. */
  known: (name: string) => unknown;
}

/** A table holds stages of every kind: what each gives and is given stands in its own declaration. */
export type AnyStage<I> = Stage<I, unknown>;
export type Needs<I> = Record<string, AnyStage<I>>;
type Results<N> = { [K in keyof N]: N[K] extends Stage<never, infer V> ? V : never };

export interface Stage<I, V> {
  /** Results are kept by it: two stages of one name are one stage. */
  readonly name: string;
  readonly needs: Needs<I>;
  /** Works in pieces where it takes long: between two of them something newer may break it off. */
  run(given: Given<I, unknown>): V | Generator<undefined, V>;
  /** Whether, in a quick run, the result of before will do although something has changed. */
  lags?(given: Lag<I, unknown, V>): boolean;
  /** Whether a result is to be worked out again when the run is not quick. */
  near?(value: V): boolean;
  /** Compared by content: a result that says the same as the last one counts as the last one, and what needs it is not run again. */
  readonly byContent: boolean;
}

type Result<R> = R extends Generator<undefined, infer V> ? V : R;

/** Declares a stage of some input. */
export const stagesOf =
  <I>() =>
  <N extends Needs<I>, R>({
    name,
    needs,
    run,
    lags,
    near,
    byContent = false,
  }: {
    name: string;
    needs: N;
    run: (given: Given<I, Results<N>>) => R;
    lags?: (given: Lag<I, Results<N>, NoInfer<Result<R>>>) => boolean;
    near?: (value: NoInfer<Result<R>>) => boolean;
    byContent?: boolean;
  }): Stage<I, Result<R>> => ({
    name,
    needs,
    run: run as Stage<I, Result<R>>['run'],
    lags,
    near,
    byContent,
  });
