import { worstFirst } from '../core/bench'
import { useVerdicts } from '../state'
import { Panel } from './Panel'
import { VerdictRow } from './VerdictRow'

/** The verdicts of a stage, the worst first; nothing where nothing is judged. */
export function Judged({ stage, title = 'Judged' }: { readonly stage: string; readonly title?: string }) {
  const verdicts = useVerdicts(stage)
  if (verdicts.length === 0) return null
  return (
    <Panel title={title}>
      <ul className="m-0 list-none p-0">
        {worstFirst(verdicts).map((verdict) => (
          <VerdictRow key={`${verdict.def.id}${verdict.args.join()}`} verdict={verdict} />
        ))}
      </ul>
    </Panel>
  )
}
