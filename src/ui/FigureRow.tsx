import { memo, useId, useState } from 'react'
import { figureUnit, sayUnknown, type FigureDef, type OwnDoubt, type WithDoubt } from '../core/bench'
import { labelAt, type Bench } from '../core/document'
import { useBenchStore, useFigure } from '../state'
import { sayQuantity } from '../core/units'
import { printFigure, Quantity, useUnits } from './Quantity'
import { FactLink } from './FactLink'
import { later } from './later'

const Working = later(async () => (await import('./Working')).Working)
const KeepRecord = later(async () => (await import('./KeepRecord')).KeepRecord)

interface Row<A extends readonly string[]> {
  readonly def: FigureDef<Bench, A, number | OwnDoubt>
  readonly args: A
  readonly label?: string
  readonly note?: string
}

/** A figure with its ±; opens its working. It is drawn again when it comes out otherwise, not with every edit. */
export const FigureRow = memo(FigureOf, isSameRow) as typeof FigureOf

function isSameRow<A extends readonly string[]>(was: Row<A>, is: Row<A>): boolean {
  const isSame = was.def === is.def && was.label === is.label && was.note === is.note
  return isSame && was.args.length === is.args.length && was.args.every((arg, i) => arg === is.args[i])
}

function FigureOf<A extends readonly string[]>({ def, args, label, note }: Row<A>) {
  const id = useId()
  const [open, setOpen] = useState(false)
  const figure = useFigure(def, ...args)
  const system = useUnits()
  if (figure === null) return null
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
        <span>{label ?? def.label}</span>
        <Quantity of={printed} />
      </button>
      <MayBe figure={figure} />
      {note !== undefined && <p className="text-[12px] text-second">{note}</p>}
      {!figure.result.known && <WhyUnknown why={figure.result.why} />}
      <div id={id} hidden={!open}>
        {open && <Working figure={figure} />}
        {open && figure.result.known && <KeepRecord figure={figure} />}
      </div>
    </div>
  )
}

/** Where a count or a choice could be another, the ± alone would promise too much. */
function MayBe({ figure }: { readonly figure: WithDoubt }) {
  const unit = figureUnit(figure, useUnits())
  const { doubt } = figure
  if (doubt?.contributions.some((it) => it.how === 'alternatives' && it.c > 0) !== true) return null
  return (
    <p className="text-[12px] text-second">
      could be {sayQuantity(doubt.low, null, unit)} to {sayQuantity(doubt.high, null, unit)}: not all of it is counted or chosen
      yet
    </p>
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
