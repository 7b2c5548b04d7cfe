import { lessonOf, LESSONS } from '../../core/course'
import { practiceOf, type Aspect, type AspectScore, type MendDone, type PracticeScore } from '../../core/document'
import { displayUnit, printQuantity, type UnitId } from '../../core/units'
import type { PracticeMachine } from '../../core/workshop'
import { practiceNow, showTruth, useBenchStore, usePractised, useStandIns } from '../../state'
import { Panel, Side, StageLink, useUnits, VerdictMark } from '../../ui'
import { ControllerSide } from './ControllerSide'
import { LessonGiven } from './LessonGiven'
import { LessonPlate } from './LessonPlate'
import { sayMend, Spanner } from './Spanner'

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
  if (lessonOf(bench.id) !== null) return <LessonPlate />
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
      {isShown && <Truth now={now} mends={practised.mends ?? []} />}
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

/** What can be done to the practice machine with a spanner. */
export function PracticeGiven() {
  const id = useBenchStore((it) => it.bench?.id ?? '')
  if (lessonOf(id) !== null) return <LessonGiven />
  const practised = practiceOf(id)
  return (
    <div className="mt-3 grid gap-4">
      <Spanner />
      {practised !== null && (
        <p className="text-[13.5px] text-second">
          Grade {practised.grade}, number <span className="num">{practised.number}</span>: the same number and grade draw the same
          machine on any computer. Tell them to somebody to compare scores.
        </p>
      )}
    </div>
  )
}

/** The machine and its verdicts beside it; of a lesson the verdicts of the stage where it is done. */
export function PracticeSide() {
  const lesson = useBenchStore((it) => lessonOf(it.bench?.id ?? '')?.lesson)
  const [stage, part] = (lesson === undefined ? undefined : LESSONS[lesson].aims[0]?.at)?.split('/') ?? ['controller', 'practice']
  if (stage === undefined || stage === 'controller') return <ControllerSide part={part ?? 'practice'}>{null}</ControllerSide>
  return (
    <Side stage={stage} part={part}>
      <Panel title="As you go">
        <p className="py-2 text-[13.5px] text-second">
          Verdicts of the stage where this is done stand here as soon as there is something to judge. Hand it in when every line
          of the lesson is marked done.
        </p>
      </Panel>
    </Side>
  )
}
