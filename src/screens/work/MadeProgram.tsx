import { useMemo, type ReactNode } from 'react'
import type { Bench } from '../../core/document'
import { whyNotBurnt } from '../../core/safety'
import { refused, sayQuantity, type Outcome } from '../../core/units'
import { leavesTravel } from '../../core/work'
import { DONE, newId, programFile, type MadeProgram, type ProgramSummary, type RunDraft } from '../../state'
import { useUnits } from '../../ui'
import { HandOut, type Worked } from '../../ui/HandOut'
import { CameOut } from './CameOut'
import { machineKey } from './machineKey'
import { sayTime } from './sayTime'
import { useProgramTool, type Tool } from './programTool'
import { programTravel } from './ProgramPlate'

/** What a tool made of the program that is open, while it is still that program’s and this machine’s. */
export function useMadeBy(tool: Tool, survey: ProgramSummary, bench: Bench) {
  const machine = useMemo(() => machineKey(bench), [bench])
  const found = useProgramTool((it) => it.made)
  const made = found?.tool === tool && found.of === survey && found.machine === machine ? found.program : null
  const keep = (program: MadeProgram | null): void =>
    useProgramTool.setState({ made: program === null ? null : { of: survey, machine, tool, program } })
  return { made, keep }
}

/** The ways out of a program that was made: with what stands in the way. */
export function HandOutMade(props: {
  readonly name: string
  readonly made: MadeProgram
  readonly bench: Bench
  readonly burnWords: string
  readonly children?: ReactNode
}) {
  const { name, made, bench, burnWords, children } = props
  const units = useUnits()
  const length = sayQuantity(Math.round(made.burntLength), null, units === 'metric' ? 'mm' : 'in')
  const worked: Worked = {
    text: made.text,
    words: `${made.seconds > 0 ? `${sayTime(made.seconds)}, ` : ''}${length} with the beam on.`,
    findings: leavesTravel(made.bounds, programTravel(bench)),
  }
  const prepare = (): Outcome<RunDraft> => {
    const against = whyNotBurnt(bench.burns.materials[bench.work.material]?.kind ?? '')
    if (against !== null)
      return refused(
        'not-burnt',
        `This sheet is not burnt. ${against}. Say on the work order which material of the book the sheet is.`,
      )
    return { ok: true, value: { id: `${name} ${newId()}`, keep: () => DONE }, findings: [] }
  }
  return (
    <>
      {children}
      <HandOut
        name={name}
        steps={worked}
        bench={bench}
        prepare={prepare}
        burnWords={burnWords}
        stage="work"
        madeOf={programFile}
      />
      <CameOut name={name} materialId={bench.work.material} power={made.power} speed={made.speed} passes={1} />
    </>
  )
}
