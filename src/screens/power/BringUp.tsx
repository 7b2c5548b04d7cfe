import { useState, type ReactNode } from 'react'
import {
  blockVolts,
  bringUpOrder,
  diagnosis,
  GAUGES,
  lightFull,
  sourceVolts,
  type BringUpStep,
  type Diagnosis,
} from '../../core/electrical'
import type { Bench } from '../../core/document'
import { sayExact } from '../../core/units'
import {
  DONE,
  readLightByStandIn,
  readVoltsByStandIn,
  useBenchStore,
  useFigure,
  isStandInThere,
  useMachine,
  type Told,
} from '../../state'
import { FactField, FigureRow, Findings, Panel, Side, StageLink } from '../../ui'
import { Drawing, inOrder } from './WiringPlate'

export function BringUpPlate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <Drawing
      bench={bench}
      chain={null}
      reads
      empty={
        <p className="my-8 max-w-[40rem] text-second">
          Draw the wiring first: then it says here in which order to power it, and what the meter should read.
        </p>
      }
    />
  )
}

/** The steps of the first power-up of a bench. */
function stepsOf({ electrical: { blocks, wires } }: Bench): readonly BringUpStep[] {
  return bringUpOrder(
    inOrder(blocks).map(([id, { kind, name }]) => ({ id, kind, name })),
    inOrder(wires).map(([id, { from, to, kind }]) => ({ id, from, to, kind })),
    Object.values(wires).some((it) => it.kind === 'mains'),
  )
}

/** What each step asks for, with the reading to expect and the one that was read. */
export function BringUpGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null || Object.keys(bench.electrical.blocks).length === 0) return null
  const steps = stepsOf(bench)
  const read = steps.filter((it) => isRead(bench, it)).length
  const toRead = steps.filter((it) => ['source', 'load', 'head', 'light'].includes(it.kind)).length
  return (
    <div className="mt-3 grid gap-4">
      <Panel
        title="Given, the first power-up"
        aside={<span className="num text-[13px] text-second">{`${read} of ${toRead} read`}</span>}
      >
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          A class 4 beam blinds before you can blink: eyewear for its wavelength on, shield closed, nobody else near, from the
          first step in which the head has power. Switch off before anything is plugged. Mains is left to licensed hands and local
          codes.
        </p>
        <ol className="m-0 list-none p-0">
          {steps.map((step, i) => (
            <Step key={step.id} bench={bench} step={step} number={i + 1} />
          ))}
        </ol>
      </Panel>
    </div>
  )
}

function isRead({ electrical }: Bench, { kind, block }: BringUpStep): boolean {
  if (kind === 'light') return electrical.driver.lightRead.value !== null
  return kind !== 'dark' && block !== undefined && electrical.blocks[block]?.reading.value != null
}

function Step({ bench, step, number }: { readonly bench: Bench; readonly step: BringUpStep; readonly number: number }) {
  const name = bench.electrical.blocks[step.block ?? '']?.name ?? ''
  return (
    <li className="flex gap-3 border-b border-rule py-2" data-bring-up={step.id}>
      <span className="num w-6 shrink-0 text-right text-second">{number}</span>
      <div className="min-w-0 flex-1">
        <p className="max-w-[44rem]">{WORDS[step.kind](name)}</p>
        {step.kind === 'bonds' && (
          <StageLink stage="power" part="chain">
            Read the bonds
          </StageLink>
        )}
        {step.kind === 'light' ? (
          <LightRead bench={bench} />
        ) : step.kind === 'dark' ? null : (
          <VoltsRead bench={bench} step={step} />
        )}
      </div>
    </li>
  )
}

const WORDS: Readonly<Record<BringUpStep['kind'], (name: string) => string>> = {
  look: () =>
    'Mains off, everything unplugged: plus and minus of every plug against the drawing, screws tight, no loose strand; between plus and minus of each rail the meter must not read near 0 Ω.',
  bonds: () => 'The bonds to the protective earth, before any mains.',
  source: (name) => `${name} alone, nothing plugged into it: switch on, read at its terminals.`,
  load: (name) => `Switch off, plug in ${name}, switch on: read at its own terminals while it works its hardest.`,
  dark: (name) => `Eyewear on. Switch off, plug in ${name}, switch on with the power word at 0: it must be dark.`,
  head: (name) => `Full power into a block that does not shine back, a few seconds: read at the terminals of ${name}.`,
  light: () => 'The power meter in the beam, at full power.',
}

/** The volts to expect at a block, the field for those that were read, and what they say. */
function VoltsRead({ bench, step }: { readonly bench: Bench; readonly step: BringUpStep }) {
  const id = step.block
  if (id === undefined) return null
  const def = step.kind === 'source' ? sourceVolts : blockVolts
  return (
    <>
      <Beside>
        <FigureRow def={def} args={[id]} label="Expect" />
        <Reading what={`volts at ${bench.electrical.blocks[id]?.name ?? ''}`} take={() => readVoltsByStandIn(bench, id)}>
          <FactField path={`electrical.blocks.${id}.reading`} />
        </Reading>
      </Beside>
      {step.kind !== 'source' && <Found bench={bench} id={id} />}
    </>
  )
}

/** What to expect, and what was read, on one line where there is room. */
function Beside({ children }: { readonly children: ReactNode }) {
  return <div className="grid items-center gap-x-8 sm:grid-cols-[15rem_1fr]">{children}</div>
}

function LightRead({ bench }: { readonly bench: Bench }) {
  return (
    <Beside>
      <FigureRow def={lightFull} args={[]} label="Expect" />
      <Reading what="the light" take={() => readLightByStandIn(bench)}>
        <FactField path="electrical.driver.lightRead" />
      </Reading>
    </Beside>
  )
}

function Reading(props: { readonly what: string; readonly take: () => Promise<Told>; readonly children: ReactNode }) {
  const { what, take, children } = props
  const [said, say] = useState<Told>(DONE)
  const hasStandIn = useMachine(isStandInThere)
  return (
    <div className="flex flex-wrap items-center gap-3 py-1">
      <span className="text-[13px] text-second">Read</span> {children}
      {hasStandIn && (
        <button
          type="button"
          className="button no-print min-h-8 py-0.5 text-[13px]"
          aria-label={`Read ${what} with the stand-in’s meter`}
          onClick={() => void take().then(say)}
        >
          Read with the stand-in
        </button>
      )}
      <Findings findings={said} />
    </div>
  )
}

/** Where the voltage is lost, by the readings, and what would mend it. */
function Found({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const worked = useFigure(diagnosis, id)
  if (worked === null || !worked.result.known) return null
  const words = sayFound(bench, worked.result.value)
  return words === null ? null : (
    <p className="max-w-[44rem] border-l-2 border-look py-1 pl-2 text-[13.5px]" role="status">
      {words}
    </p>
  )
}

function sayFound({ electrical: { blocks, wires } }: Bench, it: Diagnosis): string | null {
  const name = (of: string): string => blocks[of]?.name ?? 'nothing'
  if (!it.isMuch && !it.isLoose) return null
  const volts = (of: number): string => sayExact(Number(of.toPrecision(2)), 'V')
  const lost = `${volts(it.readLoss)} are lost between ${name(it.from)} and ${name(it.to)}; its copper explains ${volts(it.copperLoss)}.`
  const loose = it.isLoose
    ? ` ${sayExact(Math.round(it.extraOhms * 1000) / 1000, 'mohm')} more sit in a plug, a screw or a contact there: open and clean it, crimp it again.`
    : ''
  const { cure } = it
  if (cure === null) return lost + loose
  const gauge = wires[cure.wire]?.gauge.chosen
  const cures = [
    ...(cure.gauge === null ? [] : [GAUGES[cure.gauge]]),
    ...(cure.shorterMm === null ? [] : [`a wire ${sayExact(Math.ceil(cure.shorterMm / 10) * 10, 'mm')} shorter`]),
  ]
  const wire = gauge == null ? 'wire' : GAUGES[gauge]
  return `${lost}${loose} ${it.isLoose ? 'That mended, i' : 'I'}n place of its ${wire}, ${cures.join(' or ')} would do.`
}

export function BringUpSide() {
  return <Side stage="power" part="bringUp" />
}
