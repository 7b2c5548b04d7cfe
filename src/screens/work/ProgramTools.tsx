import type { Bench } from '../../core/document'
import type { ProgramSummary } from '../../state'
import { SelectOf } from '../../ui'
import { Comparing } from './Comparing'
import { Joining } from './Joining'
import { Mending } from './Mending'
import { Parting } from './Parting'
import { takeTool, TOOLS, useProgramTool } from './programTool'

/** What is done with the program that is open. */
export function ProgramTools(props: { readonly bench: Bench; readonly survey: ProgramSummary; readonly name: string }) {
  const { bench, survey, name } = props
  const tool = useProgramTool((it) => it.tool)
  return (
    <div className="grid gap-3">
      <p id="tools" className="in-words no-print text-[15px]">
        What is done with it: <SelectOf label="What is done with the program" of={TOOLS} value={tool} choose={takeTool} />
      </p>
      {tool === 'mend' && <Mending key={name} bench={bench} survey={survey} />}
      {tool === 'part' && <Parting key={name} bench={bench} survey={survey} />}
      {tool === 'join' && <Joining key={name} bench={bench} survey={survey} name={name} />}
      {tool === 'compare' && <Comparing key={name} bench={bench} survey={survey} />}
    </div>
  )
}
