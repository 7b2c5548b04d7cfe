import type { ReactNode } from 'react'
import { displayUnit, fromCore, parseQuantity, unitOf } from '../../core/units'
import type { Told } from '../../state'
import { LengthField, PlainField, useUnits } from '../../ui'

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

/** A plain speed within a sentence; what is typed with a unit is read in it. */
export function SpeedField(props: { readonly label: string; readonly value: number; readonly keep: (speed: number) => Told }) {
  const { label, value, keep } = props
  const unit = displayUnit('speed', useUnits())
  const { symbol } = unitOf(unit)
  return (
    <Held unit={symbol}>
      <PlainField
        label={`${label}, ${symbol}`}
        hideLabel
        value={String(Number(fromCore(value, unit).toPrecision(5)))}
        className="w-16"
        keep={(typed) => {
          const read = parseQuantity(typed, 'speed', unit)
          return read.ok ? keep(read.value.value) : read.findings
        }}
      />
    </Held>
  )
}

/** Puts something one place earlier in the list that lines are burnt by. */
export function Earlier({ what, act }: { readonly what: string; readonly act: () => unknown }) {
  return (
    <button type="button" className="link no-print text-[13px]" aria-label={`${what}: one place earlier`} onClick={() => act()}>
      earlier
    </button>
  )
}
