import { useRef, type ReactNode } from 'react'
import { Link } from 'react-router'
import { figureUnit, getAt, isAssumed, shownNumber, showFact, type Fact, type WithDoubt } from '../core/bench'
import { axisIds, type Bench } from '../core/document'
import { calibratedStepsOf } from '../core/calibrate'
import { topSpeed } from '../core/motion'
import { densityToAskFor, densityWatching } from '../core/safety'
import { printQuantity } from '../core/units'
import { addressOf, NEXT, useBenchStore, useFigure, useSession, useShownFact, useVerdicts } from '../state'
import { later, LazyPopover, printFigure, Quantity, useUnits, VerdictMark } from '../ui'

const BenchMenu = later(async () => (await import('./BenchMenu')).BenchMenu)
const SpotGiven = later(async () => (await import('./nameplateGiven')).SpotGiven)
const BeamGiven = later(async () => (await import('./nameplateGiven')).BeamGiven)
const EyewearGiven = later(async () => (await import('./nameplateGiven')).EyewearGiven)

/** The nameplate: what the machine is, always in sight. Its cells open what they rest on. */
export function Nameplate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <header className="flex min-w-0 border-b border-ink md:col-span-2">
      <Link
        to="/"
        className="no-print flex w-[92px] shrink-0 items-center border-r border-ink pl-3.5 md:w-[132px] text-[17px] font-[720]"
        aria-label="Fine Kerf, all benches"
      >
        Fine<span className="text-teal">/</span>Kerf
      </Link>
      <div
        className="-mt-px flex min-w-0 flex-1 items-stretch overflow-x-auto md:flex-wrap md:overflow-x-visible print:flex-wrap print:overflow-visible"
        role="group"
        aria-label="Nameplate"
      >
        <Cell
          name="bench"
          label="Bench"
          value={<strong className="block max-w-40 truncate text-[14px] font-[650]">{bench.name}</strong>}
        >
          <BenchMenu bench={bench} />
        </Cell>
        <TravelCell bench={bench} />
        <StepsCell bench={bench} />
        <SpotCell />
        <BeamCell />
        <EyewearCell />
        <Stops />
      </div>
    </header>
  )
}

function Cell({
  name,
  label,
  value,
  children,
}: {
  readonly name: string
  readonly label: string
  readonly value: ReactNode
  readonly children?: ReactNode
}) {
  const open = useSession((it) => it.nameplate === name)
  const button = useRef<HTMLButtonElement>(null)
  const face = (
    <>
      <span className="block text-[11.5px] leading-tight text-second">{label}</span>
      <span className="block leading-tight">{value}</span>
    </>
  )
  const look =
    'flex shrink-0 flex-col justify-center gap-0.5 whitespace-nowrap border-r border-t border-rule px-3.5 text-left min-h-[51px]'
  if (children === undefined) return <div className={look}>{face}</div>
  const close = (): void => useSession.setState({ nameplate: null })
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={open}
        className={`${look} hover:text-teal`}
        data-cell={name}
        onClick={() => (open ? close() : useSession.setState({ nameplate: name }))}
      >
        {face}
      </button>
      {open && (
        <LazyPopover
          anchor={button}
          label={label}
          align="start"
          sideOffset={4}
          className="z-30 max-h-[80vh] w-[24rem] max-w-[94vw] overflow-y-auto p-4"
          close={close}
          holds={inEditor}
        >
          {children}
        </LazyPopover>
      )}
    </>
  )
}

/** A fact's editor opened from a cell stands outside of it on the page, but belongs to it. */
function inEditor(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('[data-radix-popper-content-wrapper]') !== null
}

function facts(first: Fact | undefined, second: Fact | undefined): ReactNode {
  const [a, b] = [first, second].map((it) => (it === undefined ? null : showFact(it)))
  if (!a?.text && !b?.text) return <span className="num text-second">not entered</span>
  const unit = a?.unit || b?.unit
  const part = (shown: typeof a, fact: Fact | undefined) =>
    shown?.text ? <span className={`origin-${fact?.origin ?? 'assumed'}`}>{shown.text}</span> : <span>?</span>
  return (
    <span className="num text-[15px]">
      {part(a, first)} × {part(b, second)}
      {unit !== '' && <span className="text-[12px] text-second"> {unit}</span>}
    </span>
  )
}

function axesCalled(bench: Bench) {
  const ids = axisIds(bench)
  const idOf = (letter: string): string => ids.find((id) => bench.motion.axes[id]?.letter === letter) ?? ''
  return { x: idOf('X'), y: idOf('Y') }
}

function TravelCell({ bench }: { readonly bench: Bench }) {
  const { x, y } = axesCalled(bench)
  const value = facts(useShownFact(`motion.axes.${x}.travel`), useShownFact(`motion.axes.${y}.travel`))
  return <Cell name="travel" label="Travel" value={value} />
}

function StepsCell({ bench }: { readonly bench: Bench }) {
  const system = useUnits()
  const { x, y } = axesCalled(bench)
  const [ofX, ofY] = [useFigure(calibratedStepsOf, x), useFigure(calibratedStepsOf, y)]
  const [topX, topY] = [useFigure(topSpeed, x), useFigure(topSpeed, y)]
  const slower = [topX, topY]
    .filter((it): it is WithDoubt<number> => it !== null && shownNumber(it.result) !== null)
    .sort((p, q) => number(p) - number(q))[0]
  return (
    <>
      <Cell
        name="steps"
        label={system === 'metric' ? 'Steps per millimetre, X / Y' : 'Steps per inch, X / Y'}
        value={<Pair a={ofX} b={ofY} />}
      />
      <Cell
        name="speed"
        label="Top speed"
        value={
          <Quantity
            of={slower === undefined ? null : bare(slower, system)}
            guessed={slower !== undefined && restsOnGuess(slower)}
          />
        }
      />
    </>
  )
}

/** Whether a figure rests on a fact that nobody has checked. */
function restsOnGuess(figure: WithDoubt): boolean {
  const { bench } = useBenchStore.getState()
  return [...figure.leaves].some((path) => isAssumed(getAt(bench, path)))
}

function number(figure: WithDoubt<number>): number {
  return shownNumber(figure.result) ?? Number.NaN
}

function bare(figure: WithDoubt, system: 'metric' | 'inch') {
  const value = shownNumber(figure.result)
  return value === null ? null : printQuantity(value, null, figureUnit(figure, system))
}

function Pair({ a, b }: { readonly a: WithDoubt | null; readonly b: WithDoubt | null }) {
  const system = useUnits()
  const [p, q] = [a, b].map((it) => (it === null ? null : printFigure(it, system)))
  if (!p && !q) return <Quantity of={null} />
  const part = (it: typeof p, figure: WithDoubt | null) => (
    <>
      <span className={figure !== null && restsOnGuess(figure) ? 'origin-assumed' : ''}>{it?.value ?? '?'}</span>
      {it?.plusMinus != null && <span className="text-[12px] text-second"> ± {it.plusMinus}</span>}
    </>
  )
  return (
    <span className="num text-[15px]">
      {part(p, a)} / {part(q, b)}
    </span>
  )
}

function SpotCell() {
  const value = facts(useShownFact('optics.spotX'), useShownFact('optics.spotY'))
  return (
    <Cell name="spot" label="Spot" value={value}>
      <SpotGiven />
    </Cell>
  )
}

function BeamCell() {
  const [power, wavelength] = [useShownFact('optics.power'), useShownFact('optics.wavelength')]
  if (power === undefined || wavelength === undefined) return null
  const [p, w] = [showFact(power), showFact(wavelength)]
  const value =
    p.text === '' && w.text === '' ? (
      <span className="num text-second">not entered</span>
    ) : (
      <span className="num text-[15px]">
        <span className={`origin-${power.origin}`}>{p.text || '?'}</span> {p.unit} ·{' '}
        <span className={`origin-${wavelength.origin}`}>{w.text || '?'}</span> {w.unit}
      </span>
    )
  return (
    <Cell name="beam" label="Beam" value={value}>
      <BeamGiven />
    </Cell>
  )
}

function EyewearCell() {
  const needed = useFigure(densityWatching)
  const value = needed === null ? null : shownNumber(needed.result)
  const od = value === null ? null : densityToAskFor(value, needed?.doubt?.expanded ?? 0).toFixed(1)
  const shown =
    od === null ? (
      <Quantity of={null} />
    ) : (
      <span className="num text-[15px]">
        OD {od}
        <span className="text-[12px] text-second"> watching</span>
      </span>
    )
  return (
    <Cell name="eyewear" label="Eyewear at least" value={shown}>
      <EyewearGiven />
    </Cell>
  )
}

function Stops() {
  const worked = useBenchStore((it) => it.worked)
  return worked ? <StopCount /> : <StopsLastSaved />
}

function StopCount() {
  const stops = useVerdicts().filter((it) => it.mark === 'stop').length
  return <StopMark any={stops > 0} words={stops === 0 ? 'no stop' : stops === 1 ? '1 stop' : `${stops} stops`} />
}

/** Until all is judged: whether there was a stop when the bench was last saved. */
function StopsLastSaved() {
  const any = useBenchStore((it) => Object.values(it.savedMarks).includes('stop'))
  return <StopMark any={any} words={any ? 'stops' : 'no stop'} pale />
}

function StopMark({ any, words, pale = false }: { readonly any: boolean; readonly words: string; readonly pale?: boolean }) {
  const id = useBenchStore((it) => it.bench?.id ?? '')
  return (
    <Link
      to={addressOf(id, NEXT)}
      className="sticky right-0 ml-auto flex min-h-[51px] shrink-0 flex-col justify-center border-l border-rule bg-paper px-4 hover:text-teal md:border-l-0"
    >
      <span className="block text-[11.5px] leading-tight text-second">What to do next</span>
      <span className="flex items-center gap-2 leading-tight" role="status">
        <VerdictMark mark={any ? 'stop' : null} label="" pale={pale} />
        <span className="whitespace-nowrap text-[13px] underline decoration-dotted underline-offset-2">{words}</span>
      </span>
    </Link>
  )
}
