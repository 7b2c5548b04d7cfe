import { allotBag, type Allotment } from '../../core/fasteners'
import type { Bench } from '../../core/document'

/** Which joints the screws of the bag belong to. */
export function useAllotment(bench: Bench | null): Allotment | null {
  if (bench === null) return null
  const joints = Object.entries(bench.plan.joints).map(([id, it]) => ({ id, ...it }))
  return allotBag(Object.values(bench.plan.bag), joints)
}
