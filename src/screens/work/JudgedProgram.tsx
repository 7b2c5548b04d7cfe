import type { ReactNode } from 'react'
import { getAt, isFact, standardUncertainty } from '../../core/bench'
import { axisIds, type Bench } from '../../core/document'
import { judgeProgram, type ProgramMachine, type ProgramVerdict } from '../../core/planner'
import { displayUnit, printNumber, sayQuantity, type UnitSystem } from '../../core/units'
import type { ProgramSummary } from '../../state'
import { FactLink, useUnits, VerdictMark } from '../../ui'
import { LineLink } from './LineLink'
import { takeTool } from './programTool'

/** What is judged of a program, the worst first. */
export function JudgedProgram({ survey, bench }: { readonly survey: ProgramSummary; readonly bench: Bench }) {
  const system = useUnits()
  return (
    <ul className="m-0 list-none p-0">
      {judgeProgram(survey, machineOf(bench)).map((it) => (
        <Judged key={it.id === 'travel' ? it.letter : it.id} verdict={it} survey={survey} bench={bench} system={system} />
      ))}
    </ul>
  )
}

function Verdict({
  mark,
  head,
  children,
}: {
  readonly mark: 'good' | 'look' | 'stop' | 'unknown'
  readonly head: string
  readonly children: ReactNode
}) {
  return (
    <li className="keep-together flex gap-2 border-b border-rule py-2.5">
      <span className="pt-1">
        <VerdictMark mark={mark} />
      </span>
      <p>
        <strong className="font-[650]">{head}</strong> {children}
      </p>
    </li>
  )
}

/** What of the bench a program is held against. */
function machineOf(bench: Bench): ProgramMachine {
  const { fullPower } = bench.electrical
  const axes = Object.values(bench.motion.axes).map(({ letter, travel }) => {
    const known = travel.value === null ? null : { value: travel.value, expanded: 2 * standardUncertainty(travel.doubt) }
    return [letter, known] as const
  })
  return {
    travel: Object.fromEntries(axes),
    fullPower: fullPower.value === null ? null : { value: fullPower.value, sure: fullPower.origin !== 'assumed' },
  }
}

interface JudgedProps {
  readonly survey: ProgramSummary
  readonly bench: Bench
  readonly system: UnitSystem
}

function Judged({ verdict, ...rest }: JudgedProps & { readonly verdict: ProgramVerdict }) {
  switch (verdict.id) {
    case 'read':
      return <Errors survey={rest.survey} />
    case 'power':
      return <Power verdict={verdict} full={rest.bench.electrical.fullPower.value} />
    case 'beam left on':
      return <LeftOn verdict={verdict} />
    case 'light stands':
      return <Stands verdict={verdict} />
    case 'z with the beam on':
      return <ZLit verdict={verdict} />
    case 'travel':
      return <Fits verdict={verdict} {...rest} />
  }
}

type Of<Id extends ProgramVerdict['id']> = Extract<ProgramVerdict, { id: Id }>

function Power({ verdict: { mark, highest, line }, full }: { readonly verdict: Of<'power'>; readonly full: number | null }) {
  const asks = (
    <>
      S{printNumber(highest)} in <LineLink line={line} />
    </>
  )
  if (mark === 'good')
    return (
      <Verdict mark="good" head="Power within the full power word.">
        {asks} of {printNumber(full ?? 0)}.
      </Verdict>
    )
  if (mark === 'stop')
    return (
      <Verdict mark="stop" head="Power above full power.">
        {asks}, and full power is {printNumber(full ?? 0)}: what the machine makes of it is not known. Lower S, or scale the
        program to your controller.
      </Verdict>
    )
  return (
    <Verdict mark="unknown" head="How much power is that?">
      {asks}; whether that is faint or full power is not known until the full power word is{' '}
      <FactLink path="electrical.fullPower">read from the machine.</FactLink>
    </Verdict>
  )
}

function LeftOn({ verdict: { count, line, endsOn } }: { readonly verdict: Of<'beam left on'> }) {
  return (
    <Verdict mark="look" head="The beam’s word is left on.">
      {count > 0 && (
        <>
          On {printNumber(count)} rapid {count === 1 ? 'move' : 'moves'}, first <LineLink line={line} />: dark only if your
          controller makes them so.{' '}
        </>
      )}
      {endsOn && 'It has no end, and the beam’s word is on there. '}
      <PutRight />
    </Verdict>
  )
}

function Stands({ verdict: { mark, count, line, seconds } }: { readonly verdict: Of<'light stands'> }) {
  return (
    <Verdict mark={mark} head="The beam is on and nothing moves.">
      {printNumber(count)} {count === 1 ? 'wait' : 'waits'}, the longest {printNumber(seconds)} s, first <LineLink line={line} />.{' '}
      {mark === 'stop' ? 'A light that stands so long sets fire. ' : ''}
      <PutRight />
    </Verdict>
  )
}

/** Leads to where it is put right. */
function PutRight() {
  return (
    <button
      type="button"
      className="link no-print"
      onClick={() => {
        takeTool('mend')
        // The panel stands once it has been drawn.
        requestAnimationFrame(() => document.getElementById('tools')?.scrollIntoView({ block: 'start', behavior: 'smooth' }))
      }}
    >
      Put it right.
    </button>
  )
}

function ZLit({ verdict: { mark, line } }: { readonly verdict: Of<'z with the beam on'> }) {
  return (
    <Verdict mark={mark} head="Z moves with the beam on.">
      First in <LineLink line={line} />.{' '}
      {mark === 'stop'
        ? 'X and Y stand still meanwhile, so the beam burns into one place: a program for a cutter plunges so. Turn the beam off before Z moves.'
        : 'The spot leaves its focus on the way. Turn the beam off before Z moves, unless the work slopes.'}
    </Verdict>
  )
}

function Errors({ survey }: { readonly survey: ProgramSummary }) {
  const { errorCount, findingCount } = survey
  if (errorCount > 0) {
    return (
      <Verdict mark="stop" head={`${printNumber(errorCount)} ${errorCount === 1 ? 'error' : 'errors'}.`}>
        Lines with an error make no move here; a controller may do something else with them. Mend them first.
      </Verdict>
    )
  }
  if (findingCount > 0)
    return (
      <Verdict mark="look" head="Read, with remarks.">
        See what was found.
      </Verdict>
    )
  return (
    <Verdict mark="good" head="Every line was read.">
      Nothing is beyond the standard.
    </Verdict>
  )
}

function Fits({ verdict, bench, system }: JudgedProps & { readonly verdict: Of<'travel'> }) {
  const { letter, mark, min, max, line, open } = verdict
  const id = axisIds(bench).find((it) => bench.motion.axes[it]?.letter === letter) ?? ''
  const path = `motion.axes.${id}.travel`
  const travel = getAt(bench, path)
  const unit = displayUnit('length', system)
  const ends = `${sayQuantity(min, null, unit)} to ${sayQuantity(max, null, unit)}`
  if (open === 'no axis')
    return (
      <Verdict mark={mark} head={`Moves ${letter}, which this bench does not have.`}>
        It goes from {ends}, furthest in <LineLink line={line} />. Take {letter} out of the program, or set the bench up with it.
      </Verdict>
    )
  const expanded = isFact(travel) ? 2 * standardUncertainty(travel.doubt) : 0
  const reach = `${ends}${isFact(travel) && travel.value !== null ? ` of ${sayQuantity(travel.value, expanded, unit)}` : ''}.`
  if (mark === 'stop')
    return (
      <Verdict mark="stop" head={`Leaves the travel of ${letter}.`}>
        {reach} It goes furthest in <LineLink line={line} />. Move the work, or make it smaller.
      </Verdict>
    )
  if (mark === 'unknown')
    return (
      <Verdict mark="unknown" head={`Within the travel of ${letter}?`}>
        {open === 'refused lines' ? `Not known while lines are refused: what was read goes over ${reach}` : null}
        {open === 'travel' ? (
          <>
            Not known yet: <FactLink path={path}>enter the travel of {letter}.</FactLink>
          </>
        ) : null}
        {open === 'too close' ? (
          <>
            {reach} Too close to tell: <FactLink path={path}>measure the travel better.</FactLink>
          </>
        ) : null}
      </Verdict>
    )
  return (
    <Verdict mark={mark} head={letter === 'Z' ? 'Z moves.' : `Within the travel of ${letter}.`}>
      {reach}
      {letter === 'Z' && ' Its way fits; where its zero must stand, look at the machine.'}
    </Verdict>
  )
}
