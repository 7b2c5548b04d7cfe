import { memo } from 'react'
import { inGroups, type Verdict } from '../core/bench'
import { useVerdicts } from '../state'
import { Panel } from './Panel'
import { VerdictRow } from './VerdictRow'

/** The verdicts of a stage in a panel of their own; nothing where nothing is judged. */
export const Judged = memo(function Judged(props: {
  readonly stage: string
  /** The part that is open: good ones that belong to another are counted only. */
  readonly part?: string | undefined
  readonly title?: string
}) {
  const { stage, part, title = 'Judged' } = props
  const isJudged = useVerdicts(stage).length > 0
  return isJudged ? (
    <Panel title={title}>
      <Verdicts stage={stage} part={part} />
    </Panel>
  ) : null
})

/** The verdicts of a stage, the worst first; alike ones together, and what follows from another behind it. */
export const Verdicts = memo(function Verdicts(props: { readonly stage: string; readonly part?: string | undefined }) {
  const { stage, part } = props
  const all = useVerdicts(stage)
  const lists = ofPart(all, part)
  const left = all.length - lists.reduce((sum, it) => sum + it.length, 0)
  return (
    <ul className="m-0 list-none p-0">
      {lists
        .flatMap(inGroups)
        .flatMap((group) =>
          group.map((verdict, i) => (
            <VerdictRow
              key={`${verdict.def.id}${verdict.args.join()}`}
              verdict={verdict}
              first={i === 0 ? null : (group[0] ?? null)}
              last={i === group.length - 1}
            />
          )),
        )}
      {left > 0 && <li className="py-2 text-[13px] text-second">{left} more are good, in the other parts.</li>}
    </ul>
  )
})

/** What belongs to a part first, then what is not good elsewhere in the stage. */
function ofPart(all: readonly Verdict[], part: string | undefined): readonly (readonly Verdict[])[] {
  if (part === undefined) return [all]
  const isOwn = ({ def }: Verdict): boolean => def.part === undefined || def.part === part
  return [all.filter(isOwn), all.filter((it) => !isOwn(it) && it.mark !== 'good')]
}
