import { memo, useId, useState } from 'react'
import { sayUnknown, type FigureDef, type OwnDoubt, type WithDoubt } from '../core/bench'
import { labelAt, type Bench } from '../core/document'
import { useBenchStore, useFigure } from '../state'
import { printFigure, Quantity, signOf, useUnits } from './Quantity'
import { FactLink } from './FactLink'
import { later } from './later'
import { useUncounted } from './Uncounted'

const Working = later(async () => (await import('./Working')).Working)
const KeepRecord = later(async () => (await import('./KeepRecord')).KeepRecord)

interface FigureProps<A extends readonly string[]> {
  readonly def: FigureDef<Bench, A, number | OwnDoubt>
  readonly args: A
  readonly label?: string
  readonly note?: string
}

/** A figure with its ±; opens its working. It is drawn again when it comes out otherwise, not with every edit. */
export const FigureRow = memo(FigureOf, isSameRow) as typeof FigureOf

function isSameRow<A extends readonly string[]>(was: FigureProps<A>, is: FigureProps<A>): boolean {
  const isSame = was.def === is.def && was.label === is.label && was.note === is.note
  return isSame && was.args.length === is.args.length && was.args.every((arg, i) => arg === is.args[i])
}

function FigureOf<A extends readonly string[]>({ def, args, label, note }: FigureProps<A>) {
  const figure = useFigure(def, ...args)
  return figure === null ? null : <Row figure={figure} label={label ?? def.label} note={note} />
}

function Row(props: { readonly figure: WithDoubt; readonly label: string; readonly note: string | undefined }) {
  const { figure, label, note } = props
  const id = useId()
  const [open, setOpen] = useState(false)
  const couldBeOther = useUncounted(id, figure)
  const system = useUnits()
  const sign = signOf(figure)
  const printed = printFigure(figure, system)
  return (
    <div className="keep-together border-b border-rule py-1.5">
      <button
        type="button"
        aria-expanded={open}
        aria-controls={id}
        className="flex w-full items-baseline justify-between gap-3 text-left hover:text-teal"
        onClick={() => setOpen(!open)}
      >
        <span>{sign === null ? label : `${label}, ${sign}`}</span>
        <Quantity of={printed} guessed={couldBeOther} />
      </button>
      {note !== undefined && <p className="text-[12px] text-second">{note}</p>}
      {!figure.result.known && <WhyUnknown why={figure.result.why} />}
      <div id={id} hidden={!open}>
        {open && <Working figure={figure} />}
        {open && figure.result.known && <KeepRecord figure={figure} />}
      </div>
    </div>
  )
}

function WhyUnknown({ why }: { readonly why: Parameters<typeof sayUnknown>[0] }) {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const { message: whole, path } = sayUnknown(why, (it) => labelAt(bench, it))
  // That it is not known yet stands beside it already.
  const message = whole.replace(/^Not known yet: (.)/, (_, letter: string) => letter.toUpperCase())
  return (
    <p className="text-[12px] text-second">
      {path === undefined || path === '' ? message : <FactLink path={path}>{message}</FactLink>}
    </p>
  )
}
