import { axisIds, type Bench } from '../../core/document'
import type { Axis } from '../../core/motion'
import { useSession } from '../../state'

/** The axis that is brought out: the one chosen, else the first. */
export function useChosenAxis(bench: Bench): {
  readonly axisId: string
  readonly letter: string
  readonly axis: Axis | undefined
} {
  const chosen = useSession((it) => it.axisId)
  const ids = axisIds(bench)
  const axisId = chosen !== null && ids.includes(chosen) ? chosen : (ids[0] ?? '')
  const axis = bench.motion.axes[axisId]
  return { axisId, letter: axis?.letter ?? '', axis }
}
