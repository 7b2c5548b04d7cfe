import { eachFact, isChoice, isFact, type Path } from '../bench'
import { cutListOf } from '../schedule'
import type { Bench } from './bench'

/** What only the cut list reads is entered beside it. */
const CUT_FACTS: readonly Path[] = ['guides', 'guideOver', 'plateThickness', 'endHeight'].map((it) => `motion.frame.${it}`)

/** The stage on which a fact is entered. */
export function stageOfPath(path: Path): string {
  if (CUT_FACTS.includes(path)) return 'plan'
  const [slice = ''] = path.split('.')
  const elsewhere: Readonly<Record<string, string>> = {
    optics: 'beam',
    instruments: 'controller',
    electrical: 'power',
    calibrate: 'controller',
    output: 'controller',
  }
  return elsewhere[slice] ?? slice
}

/** Facts of a bench that were entered but that nobody has checked; what is not read as the machine stands is left out. */
export function assumedFacts(bench: Bench, stage: string): readonly Path[] {
  const found: Path[] = []
  eachFact(bench, (path, node) => {
    const entered = (isFact(node) && node.value !== null) || (isChoice(node) && node.chosen !== null)
    const assumed = (isFact(node) || isChoice(node)) && node.origin === 'assumed'
    if (entered && assumed && stageOfPath(path) === stage && isRead(bench, path)) found.push(path)
  })
  return found
}

/** Whether a fact is counted: it has a field, and what it belongs to has been begun. */
function isRead(bench: Bench, path: Path): boolean {
  const { motion, plan } = bench
  if (path.startsWith('instruments.') || !hasField(bench, path)) return false
  if (path.startsWith('plan.fits.')) return plan.fits.shaft.value !== null || plan.fits.bush.value !== null
  const [slice, part = ''] = path.split('.')
  return slice !== 'motion' || BEGUN[part]?.(motion) !== false
}

type Motion = Bench['motion']

/** Parts of Motion that count only where somebody has begun to measure. */
const BEGUN: Readonly<Record<string, (motion: Motion) => boolean>> = {
  belts: ({ axes }) => Object.values(axes).some(({ toneA, toneB }) => toneA.value !== null || toneB.value !== null),
  play: ({ play }) => play.clearance.value !== null,
  levelWithin: ({ heights }) => Object.keys(heights).length > 0,
}

/** Whether a fact has a field on its sheet: kinematics, drives and stock that a machine has not are kept, not shown. */
export function hasField(bench: Bench, path: Path): boolean {
  const [slice, part = '', id = '', key = ''] = path.split('.')
  if (path.startsWith('plan.stock.') || path.startsWith('plan.guideStock.')) return isCut(bench, path)
  if (slice !== 'motion') return true
  const kinematics = bench.motion.kinematics.chosen
  if (part === 'crossed' || part === 'mirrors' || part === 'retrofit') return part === kinematics
  if (part === 'frame') return kinematics === 'mirrors' ? path === 'motion.frame.plateThickness' : isCut(bench, path)
  const axis = part === 'axes' ? bench.motion.axes[id] : undefined
  return axis === undefined || isOfAxis(axis, key, kinematics === 'mirrors' && axis.letter !== 'Z')
}

/** What only a bench with rails or shafts, or one that cuts plates and bars, reads. */
function isCut({ motion }: Bench, path: Path): boolean {
  const list = cutListOf(motion.kinematics.chosen, motion.frame.guides.chosen)
  if (path === 'motion.frame.guideOver' || path.startsWith('plan.guideStock.')) return list.guides.length > 0
  if (path === 'motion.frame.guides' || path.startsWith('plan.stock.')) return list.bars.length > 0
  return path !== 'motion.frame.endHeight' || list.plates.includes('end')
}

const OF_DRIVE: Readonly<Record<string, readonly string[]>> = {
  pulleyTeeth: ['belt', 'reducedBelt'],
  beltPitch: ['belt', 'reducedBelt'],
  motorTeeth: ['reducedBelt'],
  drivenTeeth: ['reducedBelt'],
  closedBelt: ['reducedBelt'],
  screwPitch: ['screw'],
  screwStarts: ['screw'],
  rackModule: ['rack'],
  pinionTeeth: ['rack'],
}
/** A mirror sits on its motor's shaft, or on its gear's. */
const NOT_OF_MIRROR = ['motors', 'drivers', 'driverCurrent', 'currentIs', 'drive', ...Object.keys(OF_DRIVE)]

function isOfAxis(axis: Motion['axes'][string], key: string, mirror: boolean): boolean {
  if (mirror && NOT_OF_MIRROR.includes(key)) return false
  const two = axis.motors.value === 2
  if (key === 'drivers' || key === 'toneB') return two
  if (key === 'driverCurrent') return two && axis.drivers.chosen !== 'each'
  return OF_DRIVE[key]?.includes(axis.drive.chosen ?? '') !== false
}
