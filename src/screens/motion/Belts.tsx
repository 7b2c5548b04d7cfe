import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import type { Bench } from '../../core/document'
import { tension, type Axis } from '../../core/motion'
import { displayUnit, fromCore, printQuantity, sayQuantity, unitOf } from '../../core/units'
import { listenTo, useBenchStore, useFigure, isStandInThere, useMachine, DONE } from '../../state'
import { FactField, Findings, Panel, Plate, Sentence, usePlateFrame, useUnits } from '../../ui'
import { axisAt } from './axisAt'
import { useChosenAxis } from './chosenAxis'
import { AxisPanel } from './Given'

const MARGINS = { left: 40, right: 40, top: 24, bottom: 20 }

/** The free spans of an axis's belts, and their pull on one scale with the band that is wanted. */
export function BeltsPlate() {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <PlateOf bench={bench} />
}

/** A belt on each side of an axis; crossed belts have one a motor. */
function hasTwoBelts({ motion }: Bench, axis: Axis | undefined): boolean {
  return axis?.motors.value === 2 && motion.kinematics.chosen !== 'crossed'
}

/** “left”, “right” of crossed belts; nothing on another machine. */
function ofMotor({ motion }: Bench, { letter }: Axis): string {
  if (motion.kinematics.chosen !== 'crossed' || letter === 'Z') return ''
  return letter === 'X' ? 'left' : 'right'
}

function PlateOf({ bench }: { readonly bench: Bench }) {
  const { axisId, axis } = useChosenAxis(bench)
  const two = hasTwoBelts(bench, axis)
  if (axis?.drive.chosen === 'screw' || axis?.drive.chosen === 'rack') {
    return <p className="my-8 text-second">This axis has no belt: it is driven by a {axis.drive.chosen}.</p>
  }
  return (
    <Plate
      title="Belts and their pull"
      extent={{ left: 0, right: 100, bottom: 0, top: two ? 44 : 28 }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(240px,44vh,400px)] shrink-0 print:h-[280px]"
      drawing={
        <>
          <Belt
            bench={bench}
            axisId={axisId}
            side="A"
            name={
              two
                ? `${axis?.letter ?? ''} first belt`
                : axis === undefined
                  ? 'belt'
                  : `${ofMotor(bench, axis) || axis.letter} belt`
            }
            row={two ? 36 : 20}
          />
          {two && <Belt bench={bench} axisId={axisId} side="B" name={`${axis?.letter ?? ''} second belt`} row={16} />}
          <Band bench={bench} />
        </>
      }
      fields={null}
    />
  )
}

/** Forces on the plate's scale: the top of the band stands at two thirds. */
function usePull(bench: Bench) {
  const frame = usePlateFrame()
  const most = (bench.motion.belts.tensionTo.value ?? 40) * 1.5
  const [left, right] = [frame.x(0), frame.x(100)]
  return (newton: number): number => left + (Math.min(newton, most) / most) * (right - left)
}

function Belt(props: {
  readonly bench: Bench
  readonly axisId: string
  readonly side: 'A' | 'B'
  readonly name: string
  readonly row: number
}) {
  const { bench, axisId, side, name, row } = props
  const frame = usePlateFrame()
  const system = useUnits()
  const at = usePull(bench)
  const figure = useFigure(tension, axisId, side)
  const pull = figure === null ? null : shownNumber(figure.result)
  const expanded = figure?.doubt?.expanded ?? 0
  const axis = bench.motion.axes[axisId]
  const tone = side === 'A' ? axis?.toneA : axis?.toneB
  const [x0, x1, y] = [frame.x(0), frame.x(100), frame.y(row)]
  const belly = pull === null ? 0 : Math.max(4, 26 - pull / 3)
  return (
    <g>
      <text x={x0} y={y - 34} fontSize="12" fill="var(--ink)">
        {name}
        {axis?.freeSpan.typed ? `, ${axis.freeSpan.typed} ${unitOf(axis.freeSpan.typedUnit).symbol} free` : ''}
        {tone?.typed ? `, rings at ${tone.typed} Hz` : ', not plucked yet'}
      </text>
      {[x0, x1].map((x) => (
        <circle key={x} cx={x} cy={y - 14} r="9" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.4" />
      ))}
      <path d={`M${x0} ${y - 23}H${x1}`} stroke="var(--teal)" strokeWidth="2" />
      {pull !== null && (
        <path
          d={`M${x0} ${y - 23}Q${(x0 + x1) / 2} ${y - 23 - belly} ${x1} ${y - 23}M${x0} ${y - 23}Q${(x0 + x1) / 2} ${y - 23 + belly} ${x1} ${y - 23}`}
          fill="none"
          stroke="var(--teal)"
          strokeWidth="0.8"
          strokeDasharray="3 3"
        />
      )}
      <path d={`M${x0} ${y + 18}H${x1}`} stroke="var(--rule)" />
      {pull !== null && (
        <>
          <path d={`M${at(Math.max(0, pull - expanded))} ${y + 18}H${at(pull + expanded)}`} stroke="var(--ink)" strokeWidth="3" />
          <circle cx={at(pull)} cy={y + 18} r="5" fill="var(--ink)" />
          <text x={at(pull)} y={y + 38} textAnchor="middle" fontSize="12.5" className="num" fill="var(--ink)">
            {sayQuantity(pull, expanded, displayUnit('force', system))}
          </text>
        </>
      )}
    </g>
  )
}

/** The band of tension that is wanted, over all belts. */
function Band({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const system = useUnits()
  const at = usePull(bench)
  const { tensionFrom, tensionTo } = bench.motion.belts
  if (tensionFrom.value === null || tensionTo.value === null) return null
  const unit = displayUnit('force', system)
  const [a, b] = [at(tensionFrom.value), at(tensionTo.value)]
  const [top, bottom] = [frame.y(44), frame.y(0)]
  const say = (newton: number): string => printQuantity(newton, null, unit).value
  return (
    <g pointerEvents="none">
      <path
        d={`M${a} ${top + 50}V${bottom}M${b} ${top + 50}V${bottom}`}
        stroke="var(--good)"
        strokeWidth="1"
        strokeDasharray="6 4"
      />
      <text x={(a + b) / 2} y={bottom - 2} textAnchor="middle" fontSize="11" className="num" fill="var(--second)">
        {say(tensionFrom.value)} to {say(tensionTo.value)} {unitOf(unit).symbol}
        {fromCore(0, unit) === 0 ? ', the band' : ''}
      </text>
    </g>
  )
}

export function BeltsGiven() {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <GivenOf bench={bench} />
}

function GivenOf({ bench }: { readonly bench: Bench }) {
  const { axisId, letter, axis } = useChosenAxis(bench)
  const two = hasTwoBelts(bench, axis)
  const own = axis === undefined ? '' : ofMotor(bench, axis)
  const at = axisAt(axisId)
  return (
    <div className="grid gap-4">
      <AxisPanel bench={bench} title="Given">
        Belt still and free at both ends over <FactField path={at('freeSpan')} />; plucked, it rings at{' '}
        <FactField path={at('toneA')} />
        {two && (
          <>
            , the second belt over the same span at <FactField path={at('toneB')} />
          </>
        )}
        .
      </AxisPanel>
      <div className="no-print grid gap-2">
        <Listen
          key={`${axisId}A`}
          bench={bench}
          axisId={axisId}
          side="A"
          words={two ? `the first ${letter} belt` : own === '' ? `the ${letter} belt` : `the ${own} belt`}
        />
        {two && <Listen key={`${axisId}B`} bench={bench} axisId={axisId} side="B" words={`the second ${letter} belt`} />}
      </div>
      <Panel title="Given, all belts">
        <Sentence>
          A metre of belt weighs <FactField path="motion.belts.massPerMetre" />. It should pull with{' '}
          <FactField path="motion.belts.tensionFrom" /> to <FactField path="motion.belts.tensionTo" />, and both sides alike
          within <FactField path="motion.belts.alikeWithin" />.
        </Sentence>
        <p className="mt-1 max-w-[46rem] text-[13px] text-second">
          A slack belt lets corners lag and circles flatten; a tight one bends shafts and wears bearings. Motors off while your
          fingers are at the belts.
        </p>
      </Panel>
    </div>
  )
}

function Listen(props: { readonly bench: Bench; readonly axisId: string; readonly side: 'A' | 'B'; readonly words: string }) {
  const { bench, axisId, side, words } = props
  const linked = useMachine(isStandInThere)
  const [state, setState] = useState<'idle' | 'listening'>('idle')
  const [said, say] = useState(DONE)
  const listen = async (at: 'microphone' | 'stand-in'): Promise<void> => {
    setState('listening')
    say(DONE)
    say(await listenTo(bench, { axisId, side }, at))
    setState('idle')
  }
  return (
    <div>
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="button" disabled={state === 'listening'} onClick={() => void listen('microphone')}>
          Listen to {words}
        </button>
        {linked && (
          <button type="button" className="button" disabled={state === 'listening'} onClick={() => void listen('stand-in')}>
            Pluck {words} of the stand-in
          </button>
        )}
        {state === 'listening' && <p role="status">Listening: pluck it now, once.</p>}
      </div>
      <Findings findings={said} />
    </div>
  )
}
