import type { Doubted } from './doubt'
import type { AnyFigure, FigureKey, Result } from './figure'
import type { Path } from './path'

/** A figure worked: its result, and the facts and choices it rests on through the whole chain. */
export interface Evaluation<T = unknown> {
  readonly key: FigureKey
  readonly def: AnyFigure
  readonly args: readonly string[]
  readonly result: Result<T>
  readonly leaves: ReadonlySet<Path>
}

/** A figure worked together with its ±. */
export interface WithDoubt<T = unknown> extends Evaluation<T> {
  /** Null where the figure is unknown, is not a number, or states that it has none. */
  readonly doubt: Doubted | null
}
