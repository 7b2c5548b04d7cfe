import { templateOf, type Fact, type Origin } from '../core/bench'
import { glassesShape } from '../core/safety'
import { PLOVER_DRIVER } from './demoDriver'
import { PLOVER_WIRING } from './demoWiring'
import { emptyBench, type Bench } from '../core/document'
import { usualPlugs, usualTasks, type Plan, type PlanPart } from '../core/schedule'
import type { UnitId } from '../core/units'
import { saidAir } from './airFacts'
import { ploverAir } from './ploverAir'
import { ploverHousing } from './ploverHousing'
import { ploverRack } from './ploverCutter'
import { ploverRotary } from './ploverRotary'
import { ploverArtwork, ploverBurns, ploverWork } from './ploverWork'
import type { BenchBundle } from './store'

const MADE = '2026-10-03T09:00:00.000Z'

function given(value: number, typed: string, typedUnit: UnitId, a: number, origin: Origin = 'stated'): Fact {
  return { value, typed, typedUnit, origin, doubt: a === 0 ? { kind: 'exact' } : { kind: 'halfWidth', a } }
}

const count = (value: number, typed = String(value)): Fact => given(value, typed, 'count', 0)

const part = (order: number, name: string, where: string, price: number, state: PlanPart['state'], arrives = ''): PlanPart => ({
  order,
  name,
  where,
  count: 1,
  state,
  price,
  arrives,
  covers: '',
  lengthMm: 0,
})

/** What the change-over takes besides the router. Every price is invented. */
const PARTS: Plan['parts'] = {
  diode: { ...part(1, 'Diode head, 2.2 W', 'head', 84, 'here'), covers: 'head' },
  holder: part(2, 'Plate that holds the head, 8 mm aluminium', 'head', 6.5, 'here'),
  plate: part(3, 'Aluminium plate, 300 × 180 × 3', 'bed', 14, 'here'),
  hose: part(4, 'Air hose 4 mm, 2 m, with its plug', 'head', 7.2, 'here'),
  earth: part(5, 'Earth clip on a braid', 'wiring', 4.8, 'here'),
  guard: part(6, 'Guard with certified window', 'housing', 46, 'here'),
  contact: part(7, 'Interlock contact, positive opening', 'housing', 14, 'here'),
}

const JOINTS: Plan['joints'] = {
  clamp: { order: 1, name: 'Head on its plate', count: 4, thread: 'M3', stackMm: 7, into: 'aluminium', holeDepthMm: 7 },
  holder: { order: 2, name: 'Plate on the spindle’s flange', count: 4, thread: 'M5', stackMm: 8, into: 'steel', holeDepthMm: 14 },
  bed: { order: 3, name: 'Plate on the bed', count: 4, thread: 'M6', stackMm: 3, into: 'slotNut', holeDepthMm: 11 },
}

const BAG: Plan['bag'] = {
  a: { order: 1, thread: 'M3', lengthMm: 12, count: 4 },
  b: { order: 2, thread: 'M5', lengthMm: 16, count: 6 },
  c: { order: 3, thread: 'M6', lengthMm: 10, count: 4 },
}

/** Plover, the second demo: a diode head on the society's small screw-driven router, to mark tool handles. Invented. */
export function plover(id = 'plover'): BenchBundle {
  const blank = emptyBench(id, 'Plover', MADE)
  const { x, y } = blank.motion.axes
  if (x === undefined || y === undefined) throw new Error('the template has no X and Y')
  const screw: Bench['motion']['axes'][string]['drive'] = { chosen: 'screw', origin: 'stated', doubt: { kind: 'exact' } }
  const shared = {
    drive: screw,
    fullSteps: count(200),
    microsteps: given(8, '1/8', 'divisor', 0),
    screwPitch: given(2, '2', 'mm', 0.004),
    screwStarts: count(2),
    motors: count(1),
    holdingTorque: given(0.9, '0.9', 'Nm', 0.05),
    ratedCurrent: given(2, '2', 'A', 0.1),
    windingResistance: given(1.4, '1.4', 'ohm', 0.1),
    windingInductance: given(3.2e-3, '3.2', 'mH', 0.4e-3),
    rotorInertia: given(2.8e-5, '280', 'gcm2', 2e-6),
  }
  const tasks = usualTasks('retrofit').map(({ key, needs, ...task }, i) => [
    key,
    {
      order: i + 1,
      ...task,
      needs: Object.fromEntries(needs.map((it) => [it, true as const])),
      parts: {},
      notBefore: '',
      begun: '',
      done: '',
      kind: key,
    },
  ])
  const bench: Bench = {
    ...blank,
    about: 'Diode head on a small screw-driven router in the society’s shed: marks the handles of the shared tools.',
    motion: {
      ...blank.motion,
      kinematics: { chosen: 'retrofit', origin: 'stated', doubt: { kind: 'exact' } },
      axes: {
        x: { ...x, ...shared, travel: given(300, '300', 'mm', 1), movingMass: given(3.2, '3.2', 'kg', 0.3) },
        y: { ...y, ...shared, travel: given(180, '180', 'mm', 1), movingMass: given(6.5, '6.5', 'kg', 0.5) },
      },
      wantedSpeed: given(40, '40', 'mm/s', 0),
      maxStepRate: given(40_000, '40', 'kHz', 4000),
      retrofit: { asideX: given(-38, '-38', 'mm', 0.5), asideY: given(0, '0', 'mm', 0.5) },
      frame: {
        ...blank.motion.frame,
        guides: { chosen: 'rails', origin: 'stated', doubt: { kind: 'exact' } },
        plateThickness: given(8, '8', 'mm', 0.2),
        barWidth: given(40, '40', 'mm', 0.3),
        carriageWidth: given(90, '90', 'mm', 1),
        carriageDepth: given(80, '80', 'mm', 1),
      },
    },
    electrical: { ...blank.electrical, ...PLOVER_WIRING, driver: { ...blank.electrical.driver, ...PLOVER_DRIVER } },
    optics: {
      ...blank.optics,
      power: given(2.2, '2.2', 'W', 0.2),
      wavelength: given(450, '450', 'nm', 5),
      spotX: given(0.09, '0.09', 'mm', 0.02, 'assumed'),
      spotY: given(0.12, '0.12', 'mm', 0.02, 'assumed'),
      flatAlong: { chosen: 'y', origin: 'stated', doubt: { kind: 'exact' } },
      m2X: given(3, '3', 'one', 0.4),
      m2Y: given(9, '9', 'one', 1.2),
      gap: given(4.05, '4.05', 'mm', 0.1),
      focusGap: given(4, '4', 'mm', 0.1),
      plate: given(15.02, '15.02', 'mm', 0.02),
      feeler: given(6.1, '6.1', 'mm', 0.1),
    },
    safety: {
      ...blank.safety,
      glasses: {
        amber: templateOf(glassesShape, {
          order: 1,
          name: 'Amber',
          label: 'D 435-465 LB7',
          proof: 'en',
          filter: saidAir('plastic'),
        }),
      },
      worn: 'amber',
      beamAtEyewear: given(2.5, '2.5', 'mm', 0.5),
    },
    burns: ploverBurns(blank.burns),
    work: ploverWork(id, blank.work),
    rotary: ploverRotary,
    housing: ploverHousing,
    air: ploverAir,
    plan: {
      ...blank.plan,
      build: { chosen: 'retrofit', origin: 'stated', doubt: { kind: 'exact' } },
      goals: {
        ...blank.plan.goals,
        workWidth: given(180, '180', 'mm', 0),
        workDepth: given(40, '40', 'mm', 0),
        workHeight: given(34, '34', 'mm', 0),
        budget: given(190, '190', 'money', 0),
        materials: { wood: true },
      },
      readyPrice: given(310, '310', 'money', 30),
      parts: PARTS,
      joints: JOINTS,
      bag: BAG,
      tasks: Object.fromEntries(tasks) as Bench['plan']['tasks'],
      plugs: Object.fromEntries(usualPlugs().map((it, order) => [`plug-${order + 1}`, { order, ...it }])),
    },
  }
  const { record, file } = ploverArtwork(id)
  const rack = ploverRack(id)
  return { bench, records: [record, rack.record], files: [file, ...rack.files] }
}
