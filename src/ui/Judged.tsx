import { memo } from 'react'
import { inGroups } from '../core/bench'
import { useVerdicts } from '../state'
import { Panel } from './Panel'
import { VerdictRow } from './VerdictRow'

/** The verdicts of a stage in a panel of their own; nothing where nothing is judged. */
export const Judged = memo(function Judged({ stage, title = 'Judged' }: { readonly stage: string; readonly title?: string }) {
  const isJudged = useVerdicts(stage).length > 0
  return isJudged ? (
    <Panel title={title}>
      <Verdicts stage={stage} />
    </Panel>
  ) : null
})

/** The verdicts of a stage, the worst first; alike ones together, and what follows from another behind it. */
export const Verdicts = memo(function Verdicts({ stage }: { readonly stage: string }) {
  const verdicts = useVerdicts(stage)
  return (
    <ul className="m-0 list-none p-0">
      {inGroups(verdicts).flatMap((group) =>
        group.map((verdict, i) => (
          <VerdictRow
            key={`${verdict.def.id}${verdict.args.join()}`}
            verdict={verdict}
            first={i === 0 ? null : (group[0] ?? null)}
            last={i === group.length - 1}
          />
        )),
      )}
    </ul>
  )
})
