/**
 * What figures and verdicts are worked for: the bench itself, each axis, each run. `each` lists their arguments on a bench,
 * so that nothing else has to know them.
 */
export interface Subject<B, A extends readonly string[]> {
  readonly id: string
  readonly each: (bench: B) => readonly A[]
}

/** Defines a subject over a part B of the bench. */
export function subjectOf<B>() {
  return <A extends string[]>(id: string, each: (bench: B) => readonly A[]): Subject<B, A> => ({ id, each })
}

/** The bench itself: once, without arguments. */
export const THE_BENCH: Subject<unknown, []> = { id: 'bench', each: () => [[]] }
