import type { ReactNode } from 'react'
import { displayUnit, unitOf } from '../../core/units'
import type { Told } from '../../state'
import { LengthField, useUnits } from '../../ui'

/** A field within a sentence, its unit behind it: the two are never parted by the end of a line. */
export function Held({ unit, children }: { readonly unit: string; readonly children: ReactNode }) {
  return (
    <span className="inline-flex items-baseline gap-1 whitespace-nowrap align-baseline leading-normal">
      {children}
      <span aria-hidden>{unit}</span>
    </span>
  )
}

/** A plain length within a sentence. */
export function MmField(props: {
  readonly label: string
  readonly valueMm: number
  readonly above?: boolean
  readonly signed?: boolean
  readonly keep: (valueMm: number | null) => Told
}) {
  const { symbol } = unitOf(displayUnit('length', useUnits()))
  return (
    <Held unit={symbol}>
      <LengthField {...props} label={`${props.label}, ${symbol}`} hideLabel className="w-16" />
    </Held>
  )
}
