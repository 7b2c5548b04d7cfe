import { figureOf, type View } from '../bench'
import { allotBag, behindStack, screwFor } from '../fasteners'
import { lackOf } from './lack'
import type { PlanBench } from './slice'
import { aJoint } from './subjects'

const figure = figureOf<PlanBench>()
const AS_WRITTEN = { none: 'Joints are as written; a standard length is exact.' } as const

function jointOf(view: View<PlanBench>, id: string) {
  const joint = view.bench.plan.joints[id]
  if (joint === undefined) throw new RangeError(`there is no joint ${id} on this bench`)
  const { thread, stackMm, into, holeDepthMm, count } = joint
  return { id, thread, stackMm, into, holeDepthMm, count }
}

function jointsOf(view: View<PlanBench>) {
  return Object.keys(view.bench.plan.joints).map((id) => jointOf(view, id))
}

export const screwGrip = figure({
  id: 'plan.screwGrip',
  of: aJoint,
  label: 'Thread behind the stack',
  quantity: 'length',
  formula: 'e = k\\,d \\quad\\text{or}\\quad e = n + 2P',
  forms: { by: 'plan.joints.{0}.into', of: { nut: 1 } },
  symbols: {},
  source: 'One diameter d in steel and in a slot nut, 1.5 in aluminium, 2 in plastic; nut n and two pitches P (common practice).',
  doubt: AS_WRITTEN,
  work: (view, jointId: string): number => behindStack(jointOf(view, jointId)),
})

export const screwLength = figure({
  id: 'plan.screwLength',
  of: aJoint,
  label: 'Length of the screw',
  quantity: 'length',
  formula: 'l = \\lceil \\v{t} + \\v{e} \\rceil_{\\mathrm{std}}',
  symbols: { t: 'plan.joints.{0}.stackMm', e: '=plan.screwGrip|{0}' },
  source: 'The next standard length, ISO 4762 (from memory); in a blind hole a millimetre is left before its bottom.',
  doubt: AS_WRITTEN,
  work(view, jointId: string): number {
    const fit = screwFor(jointOf(view, jointId))
    if (!fit.ok) throw new RangeError((fit.findings[0]?.message ?? 'no standard screw fits').replace(/\.$/, ''))
    return fit.value.lengthMm
  },
})

export const jointsUnfit = figure({
  id: 'plan.jointsUnfit',
  label: 'Joints that no standard screw fits',
  quantity: 'count',
  formula: 'n = \\#\\{\\text{joints without a length}\\}',
  symbols: {},
  source: 'The joints, each by itself.',
  doubt: { none: 'A count.' },
  work: (view): number => jointsOf(view).filter((it) => !screwFor(it).ok).length,
})

export const unfitMargin = lackOf('plan.unfitMargin', 'Joints with a standard screw, short by', jointsUnfit)

export const screwsMissing = figure({
  id: 'plan.screwsMissing',
  label: 'Screws missing from the bag',
  quantity: 'count',
  formula: 'n = \\sum \\text{needed} - \\sum \\text{given}',
  symbols: {},
  source: 'The bag shared out so that most screws find a joint.',
  doubt: { none: 'A count.' },
  work(view): number {
    const bag = Object.values(view.bench.plan.bag).map(({ thread, lengthMm, count }) => ({ thread, lengthMm, count }))
    return allotBag(bag, jointsOf(view)).missing.reduce((sum, it) => sum + it.count, 0)
  },
})

export const bagMargin = lackOf('plan.bagMargin', 'Screws in the bag, short by', screwsMissing)
