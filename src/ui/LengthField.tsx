import { displayUnit, fromCore, parseQuantity, unitOf } from '../core/units'
import { told, type Told } from '../state'
import { PlainField } from './PlainField'
import { useUnits } from './Quantity'

/** A plain length of a row, without ±: shown in the bench's unit, typed in it or with another one behind the number. */
export function LengthField(props: {
  readonly label: string
  readonly valueMm: number | null
  /** Above 0; else 0 or more. */
  readonly above?: boolean
  /** Any length, below 0 too. */
  readonly signed?: boolean
  /** What an empty field stands for; without it a length is asked for. The unit is added where it ends in a comma. */
  readonly empty?: string
  readonly hideLabel?: boolean
  readonly className?: string
  /** @returns What stands in the way. Null is given where the field is empty and may be. */
  readonly keep: (valueMm: number | null) => Told
}) {
  const { label, valueMm, above = false, signed = false, empty, keep, ...look } = props
  const unit = displayUnit('length', useUnits())
  const { symbol } = unitOf(unit)
  const read = (typed: string): Told => {
    if (typed.trim() === '' && empty !== undefined) return keep(null)
    const length = parseQuantity(typed, 'length', unit)
    if (!length.ok) return length.findings
    const { value } = length.value
    if (signed || (above ? value > 0 : value >= 0)) return keep(value)
    return told(`Type a length ${above ? 'above 0' : 'of 0 or more'}, in ${symbol} or with its unit.`)
  }
  return (
    <PlainField
      label={props.hideLabel === true ? label : `${label}, ${symbol}`}
      value={valueMm === null ? '' : String(Number(fromCore(valueMm, unit).toPrecision(6)))}
      {...(empty === undefined ? {} : { placeholder: empty.endsWith(',') ? `${empty} ${symbol}` : empty })}
      {...look}
      keep={read}
    />
  )
}
