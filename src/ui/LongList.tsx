import type { ReactNode } from 'react'
import { later } from './later'

const NearRows = later(async () => (await import('./NearRows')).NearRows)

/** Lists up to this long are drawn whole; of longer ones what is looked at. */
const ALL_AT_ONCE = 60

/** A list of any length. A row is a `<li>`, and stands alone: it may not hold what must outlive being scrolled away. */
export function LongList<T>(props: {
  readonly of: readonly T[]
  readonly keyOf: (it: T) => string
  readonly row: (it: T) => ReactNode
  /** About how high a row is, px; the real height is measured. */
  readonly height: number
  /** What it is a list of, for those who do not see it: “parts”. */
  readonly what: string
}) {
  const { of, keyOf, row, height, what } = props
  if (of.length <= ALL_AT_ONCE) return <ul className="m-0 list-none p-0">{of.map((it) => row(it))}</ul>
  const at = (i: number): T => of[i] as T
  return <NearRows count={of.length} keyAt={(i) => keyOf(at(i))} rowAt={(i) => row(at(i))} height={height} what={what} />
}
