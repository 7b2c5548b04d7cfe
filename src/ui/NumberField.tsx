import { PlainField } from './PlainField'
import { told, type Told } from '../state'

/** A plain number of a row: a count, a price, a length without ±. A decimal comma is read; what is none is refused in words. */
export function NumberField(props: {
  readonly label: string
  readonly value: number | null
  /** Whole numbers only. */
  readonly whole?: boolean
  /** Above 0; else 0 or more. */
  readonly above?: boolean
  /** Any number, below 0 too. */
  readonly signed?: boolean
  /** What an empty field stands for; without it a number is asked for. */
  readonly empty?: string
  readonly text?: string
  readonly caption?: string
  readonly hideLabel?: boolean
  readonly className?: string
  /** @returns What stands in the way. Null is given where the field is empty and may be. */
  readonly keep: (value: number | null) => Told
}) {
  const { label, value, whole = false, above = false, signed = false, empty, text, keep, ...look } = props
  const read = (typed: string): Told => {
    if (typed.trim() === '' && empty !== undefined) return keep(null)
    const number = Number(typed.replace(',', '.'))
    const isInRange = signed || (above ? number > 0 : number >= 0)
    const isOne = typed.trim() !== '' && Number.isFinite(number) && (!whole || Number.isInteger(number))
    return isOne && isInRange ? keep(number) : told(wanted(props))
  }
  return (
    <PlainField
      label={label}
      value={text ?? (value === null ? '' : String(value))}
      {...(empty === undefined ? {} : { placeholder: empty })}
      {...look}
      keep={read}
    />
  )
}

function wanted({ whole = false, above = false, signed = false }: Parameters<typeof NumberField>[0]): string {
  const kind = whole ? 'a whole number' : 'a number'
  return `Type ${kind}${signed ? '' : above ? ' above 0' : ', 0 or more'}.`
}
