import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import { newestRun, runSquareness } from '../../core/calibrate'
import { practiceOf, type Aspect, type AspectScore, type Bench, type MendDone, type PracticeScore } from '../../core/document'
import { displayUnit, printQuantity, sayQuantity, type UnitId } from '../../core/units'
import type { Mend, PracticeMachine } from '../../core/workshop'
import {
  DONE,
  engineOf,
  mendPractice,
  practiceNow,
  showTruth,
  useBenchStore,
  useMachine,
  usePractised,
  useStandIns,
  type Told,
} from '../../state'
import { Findings, Panel, StageLink, useUnits, VerdictMark } from '../../ui'
import { ControllerSide } from './ControllerSide'

const NAMES: Readonly<
  Record<Aspect, { readonly name: string; readonly unit: UnitId; readonly way: string; readonly part: string }>
> = {
  scale: { name: 'Size', unit: 'percent', way: 'Burn a scale run, apply it, write the steps, burn another.', part: 'run' },
  square: { name: 'Squareness', unit: 'deg', way: 'Read diagonals or circles, square the gantry, read again.', part: 'shape' },
  backlash: { name: 'Play', unit: 'mm', way: 'Burn outlines, mend what they name, burn them again.', part: 'closure' },
  power: { name: 'Power', unit: 'percent', way: 'Read the light at three powers or more.', part: 'curve' },
  delay: { name: 'Delay', unit: 'ms', way: 'Burn the delay pattern, put its delay on the output card.', part: 'delay' },
  closure: { name: 'Closure', unit: 'mm', way: 'Burn outlines; once all is mended, once more.', part: 'closure' },
}

const FAULT_WORDS: Readonly<Record<PracticeMachine['faults'][number]['fault'], string>> = {
  play: 'Play',
  slip: 'A slipping pulley',
  loose: 'A sagging belt',
  misses: 'A motor that misses steps at the acceleration it came with',
  late: 'Light that comes late',
  skew: 'A gantry out of square',
}

/** How the practice machine stands: what is proved; once the truth is shown, how far it really is. */
export function PracticePlate() {
  const bench = useBenchStore((it) => it.bench)
  const practised = usePractised((it) => it.byBench[bench?.id ?? ''])
  useStandIns((it) => it.byBench[bench?.id ?? ''])
  if (bench === null) return null
  const now = practiceNow(bench)
  if (now === null) return <p className="py-6 text-second">This is no practice machine.</p>
  if (typeof now === 'string') return <p className="py-6">{now}</p>
  const isShown = practised?.isShown === true
  return (
    <div className="mt-2" data-plate="Practice">
      <table className="w-full border-collapse text-[14px]">
        <thead>
          <tr className="border-b border-ink text-left text-[12px] text-second">
            <th className="py-1.5 font-normal">What is scored</th>
            <th className="py-1.5 font-normal">Proved since the last change</th>
            <th className="py-1.5 text-right font-normal">{isShown ? 'Truly off by' : 'Good within'}</th>
            <th className="py-1.5 text-right font-normal">{isShown ? 'Points of 100' : 'How'}</th>
          </tr>
        </thead>
        <tbody>
          {now.score.aspects.map((it) => (
            <AspectRow key={it.aspect} score={it} isShown={isShown} />
          ))}
        </tbody>
      </table>
      {isShown && <Truth now={now} mends={practised.mends} />}
      <p className="no-print mt-3 flex flex-wrap items-center gap-3">
        <button type="button" className={`button ${isShown ? '' : 'button-first'}`} onClick={() => showTruth(bench.id, !isShown)}>
          {isShown ? 'Hide the truth' : 'Show the truth and the score'}
        </button>
        {!isShown && (
          <span className="text-[13px] text-second">Commission it first: what is hidden is no secret once it was seen.</span>
        )}
      </p>
    </div>
  )
}

function AspectRow({ score, isShown }: { readonly score: AspectScore; readonly isShown: boolean }) {
  const { name, unit, way, part } = NAMES[score.aspect]
  const system = useUnits()
  const say = (value: number): string => printedWith(value, unit === 'mm' ? displayUnit('length', system) : unit)
  return (
    <tr className="border-b border-rule align-baseline" data-aspect={score.aspect}>
      <td className="py-2 pr-2 font-[650]">{name}</td>
      <td className="py-2">
        <span className="inline-flex items-center gap-2">
          <VerdictMark mark={score.isProved ? 'good' : 'unknown'} /> {score.isProved ? 'proved' : 'not yet'}
        </span>
      </td>
      <td className="num py-2 text-right whitespace-nowrap">
        {!isShown ? say(score.good) : score.off === null ? 'nothing measured' : say(score.off)}
      </td>
      <td className="py-2 pl-4 text-right">
        {isShown ? (
          <span className="num">{Math.round(score.points)}</span>
        ) : (
          <StageLink stage="controller" part={part}>
            {way}
          </StageLink>
        )}
      </td>
    </tr>
  )
}

/** To two or three digits, with its unit. */
function printedWith(value: number, unit: UnitId): string {
  const printed = printQuantity(value, Math.max(Math.abs(value) / 3, 1e-6), unit)
  return `${printed.value} ${printed.unit}`
}

function Truth({
  now,
  mends,
}: {
  readonly now: { readonly machine: PracticeMachine; readonly score: PracticeScore }
  readonly mends: readonly MendDone[]
}) {
  const { machine, score } = now
  return (
    <div className="mt-4 grid gap-x-8 gap-y-4 sm:grid-cols-2">
      <Panel title="The score">
        <p className="py-2 text-[22px] font-[700]" data-score>
          <span className="num">{Math.round(score.points)}</span> of 100
        </p>
        <ul className="m-0 list-none p-0 text-[13.5px]">
          <li className="border-b border-rule py-1">
            {score.inVain.length === 0
              ? 'Nothing was mended in vain.'
              : `Mended in vain: ${score.inVain.map(sayMend).join('; ')}.`}
          </li>
          <li className="border-b border-rule py-1">
            {score.unread === 0 ? 'Everything that was burnt was read.' : `Burnt and never read: ${score.unread}.`}
          </li>
          <li className="py-1">
            {score.aspects.every((it) => it.isProved)
              ? 'All six are proved.'
              : `Not proved: ${score.aspects
                  .filter((it) => !it.isProved)
                  .map((it) => NAMES[it.aspect].name.toLowerCase())
                  .join(', ')}.`}
          </li>
        </ul>
      </Panel>
      <Panel title="What was wrong with it">
        <ul className="m-0 list-none p-0 text-[13.5px]" data-faults>
          {machine.faults.length === 0 && <li className="py-1">No fault beyond what every machine has.</li>}
          {machine.faults.map((it) => (
            <li key={it.fault} className="border-b border-rule py-1">
              {FAULT_WORDS[it.fault]}
              {it.axis === '' ? '' : `, ${it.axis.toUpperCase()}`}
            </li>
          ))}
          <li className="py-1 text-second">
            {mends.length === 0 ? 'Nothing was done with a spanner.' : `Done with a spanner: ${mends.map(sayMend).join('; ')}.`}
          </li>
        </ul>
      </Panel>
    </div>
  )
}

function sayMend(mend: Mend): string {
  switch (mend.act) {
    case 'snug':
      return `play taken out of ${mend.axis.toUpperCase()}`
    case 'belt':
      return `belt of ${mend.axis.toUpperCase()} tensioned`
    case 'pulley':
      return `pulley of ${mend.axis.toUpperCase()} tightened`
    case 'square':
      return `gantry squared by ${sayQuantity(mend.byRad, 1e-5, 'deg')}`
  }
}

const ACTS: readonly { readonly act: 'snug' | 'belt' | 'pulley'; readonly words: string }[] = [
  { act: 'snug', words: 'Take the play out of' },
  { act: 'belt', words: 'Tension the belt of' },
  { act: 'pulley', words: 'Tighten the pulley of' },
]

/** What can be done to the practice machine with a spanner. */
export function PracticeGiven() {
  const bench = useBenchStore((it) => it.bench)
  const [said, say] = useState<Told>(DONE)
  const running = useMachine((it) => it.running)
  if (bench === null) return null
  const practised = practiceOf(bench.id)
  const square = squareByRun(bench)
  const act = (mend: Mend): void => void mendPractice(mend).then(say)
  return (
    <div className="mt-3 grid gap-4">
      <Panel title="At the machine, with a spanner">
        <p className="max-w-[46rem] py-1 text-[13.5px] text-second">
          Each of these is done with the power off, as at a real one. What is done and changes nothing is counted. Steps,
          acceleration and the like are set on Settings, the wait behind “on” on the output card.
        </p>
        <div className="flex flex-wrap gap-2 py-1">
          {ACTS.flatMap(({ act: what, words }) =>
            (['x', 'y'] as const).map((axis) => (
              <button
                key={what + axis}
                type="button"
                className="button"
                disabled={running}
                onClick={() => act({ act: what, axis })}
              >
                {words} {axis.toUpperCase()}
              </button>
            )),
          )}
          <button
            type="button"
            className="button"
            disabled={running || square === null}
            onClick={() => act({ act: 'square', byRad: square ?? 0 })}
          >
            {square === null
              ? 'Square the gantry: read the diagonals first'
              : `Square the gantry by ${sayQuantity(square, 1e-5, 'deg')}`}
          </button>
        </div>
        <Findings findings={said} />
      </Panel>
      {practised !== null && (
        <p className="text-[13.5px] text-second">
          Grade {practised.grade}, number <span className="num">{practised.number}</span>: the same number and grade draw the same
          machine on any computer. Tell them to somebody to compare scores.
        </p>
      )}
    </div>
  )
}

/** By how much the newest scale run says that the gantry leans, rad; null where it says nothing. */
function squareByRun(bench: Bench): number | null {
  const run = newestRun(bench.calibrate)
  const found = run === null ? null : shownNumber(engineOf(bench).value(runSquareness, run).result)
  return found
}

/** The machine and its verdicts beside it. */
export function PracticeSide() {
  return <ControllerSide part="practice">{null}</ControllerSide>
}
