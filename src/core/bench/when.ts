/** Reads a document plainly: a fact's number, a choice's word, a plain value. */
export interface See {
  (path: string): unknown
  /** Keys of a list; none where there is no list. */
  readonly keys: (path: string) => readonly string[]
}

/** The same from one place: `beside` reads what stands next to it. */
export interface SeeBeside extends See {
  /** The place that it is asked from. */
  readonly at: string
  readonly beside: (key: string) => unknown
}

/** A condition on a bench. */
export type When = (see: SeeBeside) => boolean

/** One piece of work at the bench that gives several facts: reading a label, counting, weighing. */
export interface Act {
  readonly id: string
  /** What to do, as it is said to a person: “Count the teeth and read the driver's switches”. */
  readonly words: string
  /** It needs the beam on: what can be done without it comes first. */
  readonly beam?: true
}

/** Where a fact is entered; said once, by its spec or by what it stands in. */
export interface Placed {
  readonly stage?: string
  /** Part of the stage; none where the stage has only one. */
  readonly part?: string
  /** Cell of the nameplate, where it is entered there. */
  readonly cell?: string
  /** The work that gives it, together with others; without one it stands for itself. */
  readonly act?: Act
  /** Only then has it a field; what has none is kept, not shown. */
  readonly when?: When
  /** Only then is it counted as a guess: what it belongs to has been begun. */
  readonly begun?: When
}
