import { setAt, valuesOf } from '../core/bench'
import type { KindId, PlanJoint, ProposedJoint } from '../core/schedule'
import { newId } from '../data/ids'
import { editBench } from './benchStore'
import type { Told } from './told'

/** Notes how many of a kind there are; null: it was not counted. */
export function countKind(kind: KindId, count: number | null): Told {
  return editBench('the count of the bag', (bench) => {
    const rows = Object.entries(bench.plan.counted)
    const own = rows.find(([, it]) => it.kind === kind)
    if (count === null) return own === undefined ? bench : setAt(bench, `plan.counted.${own[0]}`, undefined)
    if (own !== undefined) return setAt(bench, `plan.counted.${own[0]}.count`, count)
    const order = 1 + Math.max(0, ...rows.map(([, it]) => it.order))
    return setAt(bench, `plan.counted.${newId()}`, { order, kind, count })
  })
}

/** Takes joints over that a frame of this kind has; one undo step. */
export function takeProposedJoints(joints: readonly ProposedJoint[]): Told {
  return editBench('the joints of such a frame', (bench) => {
    const first = Math.max(0, ...valuesOf(bench.plan.joints).map((it) => it.order))
    const added = joints.map((it, i): [string, PlanJoint] => [newId(), { ...it, order: first + i + 1 }])
    return setAt(bench, 'plan.joints', { ...bench.plan.joints, ...Object.fromEntries(added) })
  })
}
