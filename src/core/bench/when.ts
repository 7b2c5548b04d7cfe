/** Reads a document plainly: a fact's number, a choice's word, a plain value. */
export interface See {
  (path: string): unknown
  /** Keys of a list; none where there is no list. */
  readonly keys: (path: string) => readonly string[]
}

/** The same from one place: `beside` reads what stands next to it. */
export interface SeeBeside extends See {
  readonly beside: (key: string) => unknown
}

/** A condition on a bench. */
export type When = (see: SeeBeside) => boolean

/** Where a fact is entered; said once, by its spec or by what it stands in. */
export interface Placed {
  readonly stage?: string
  /** Part of the stage; none where the stage has only one. */
  readonly part?: string
  /** Cell of the nameplate, where it is entered there. */
  readonly cell?: string
  /** Only then has it a field; what has none is kept, not shown. */
  readonly when?: When
  /** Only then is it counted as a guess: what it belongs to has been begun. */
  readonly begun?: When
}
