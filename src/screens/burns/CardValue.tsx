import type { CardVariable } from '../../core/burn'
import { displayUnit, fromCore, parseQuantity, unitOf, type Quantity, type UnitId, type UnitSystem } from '../../core/units'
import { told, type Told } from '../../state'
import { PlainField, useUnits } from '../../ui'

/** What a side of a card may go through, as it is offered. */
export const VARIABLE_WORDS: Readonly<Record<CardVariable, string>> = {
  power: 'power',
  speed: 'speed',
  pitch: 'scan pitch',
  passes: 'passes',
  focus: 'lift of the head',
}

const QUANTITY: Readonly<Record<CardVariable, Quantity>> = {
  power: 'ratio',
  speed: 'speed',
  pitch: 'length',
  passes: 'count',
  focus: 'length',
}

/** The unit that a value of a card is shown and typed in. */
export function unitOfVariable(kind: CardVariable, system: UnitSystem): UnitId {
  return kind === 'power' ? 'percent' : displayUnit(QUANTITY[kind], system)
}

/** A value of a card with its unit. */
export function sayVariable(kind: CardVariable, value: number, system: UnitSystem): string {
  const unit = unitOfVariable(kind, system)
  const { symbol } = unitOf(unit)
  const number = String(Number(fromCore(value, unit).toPrecision(3)))
  return kind === 'passes'
    ? `${number} ${value === 1 ? 'pass' : 'passes'}`
    : symbol === '%'
      ? `${number}%`
      : `${number} ${symbol}`
}

/** A value of a card that is designed: a choice, without ±. */
export function CardValue(props: {
  readonly label: string
  readonly kind: CardVariable
  readonly value: number
  readonly keep: (value: number) => Told
}) {
  const { label, kind, value, keep } = props
  const system = useUnits()
  const unit = unitOfVariable(kind, system)
  const { symbol } = unitOf(unit)
  const read = (typed: string): Told => {
    const quantity = parseQuantity(typed, QUANTITY[kind], unit)
    if (!quantity.ok) return quantity.findings
    return Number.isFinite(quantity.value.value) ? keep(quantity.value.value) : told('Type a number.')
  }
  return (
    <PlainField
      label={symbol === '' ? label : `${label}, ${symbol}`}
      value={String(Number(fromCore(value, unit).toPrecision(4)))}
      className="w-20"
      keep={read}
    />
  )
}
