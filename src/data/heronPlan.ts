import type { Fact } from '../core/bench'
import type { Plan, PlanPart } from '../core/schedule'
import { usualTasks } from '../core/schedule'

/** Day by which Heron's frame stood; what comes after is open. */
const FRAME_STOOD = '2026-11-08T19:30:00'
const DONE = ['cut', 'drill', 'nuts', 'corners', 'square', 'tighten', 'gantry', 'belts', 'chain', 'wire']

const part = (
  order: number,
  name: string,
  where: string,
  count: number,
  price: number,
  state: PlanPart['state'],
  arrives = '',
  covers: PlanPart['covers'] = '',
  lengthMm = 0,
): PlanPart => ({
  order,
  name,
  where,
  count,
  price,
  state,
  arrives,
  covers,
  lengthMm,
})

const said = (value: number): Fact => ({
  value,
  typed: String(value),
  typedUnit: 'mm',
  origin: 'stated',
  doubt: { kind: 'exact' },
})

/** Heron's plan, half done: the frame stands and runs, the housing is to come. Every price is invented. */
export function heronPlan(blank: Plan): Plan {
  const tasks = usualTasks('gantry').map(({ key, name, check, workMin, waitMin, noisy, needs }, i) => [
    key,
    {
      order: i + 1,
      name,
      check,
      workMin,
      waitMin,
      noisy,
      needs: Object.fromEntries(needs.map((it) => [it, true as const])),
      parts: key === 'glaze' ? { window: true } : key === 'interlock' ? { switch: true } : {},
      notBefore: '',
      begun: '',
      done: DONE.includes(key) ? FRAME_STOOD : '',
      kind: key,
    },
  ])
  return {
    ...blank,
    build: { chosen: 'new', origin: 'stated', doubt: { kind: 'exact' } },
    goals: {
      ...blank.goals,
      workWidth: said(400),
      workDepth: said(300),
      budget: { ...said(360), typedUnit: 'money' },
      rotary: { chosen: 'no', origin: 'stated', doubt: { kind: 'exact' } },
      portable: { chosen: 'no', origin: 'stated', doubt: { kind: 'exact' } },
      materials: { wood: true, paper: true, leather: true, slate: true },
    },
    readyPrice: { value: 520, typed: '520', typedUnit: 'money', origin: 'stated', doubt: { kind: 'halfWidth', a: 40 } },
    parts: {
      bars: part(1, 'Slotted bar 20 × 20, 1 m', 'frame', 3, 7.4, 'here', '', 'bars'),
      motors: part(2, 'Stepper, 0.45 N·m', 'drives', 3, 13.5, 'here', '', 'motor'),
      belt: part(3, 'Toothed belt 2 mm, 5 m', 'drives', 1, 11, 'here', '', 'belt', 5000),
      controller: part(4, 'Controller with three drivers', 'wiring', 1, 46, 'here', '', 'controller'),
      diode: part(5, 'Diode head, 5.5 W', 'head', 1, 118, 'here', '', 'head'),
      ply: part(6, 'Birch ply 6 mm, 600 × 500', 'housing', 4, 9.8, 'here'),
      window: part(7, 'Certified window sheet, 200 × 150', 'housing', 1, 38, 'ordered', '2026-12-02'),
      switch: part(8, 'Interlock switch, positive opening', 'housing', 1, 14, 'ordered', '2026-11-30'),
      hose: part(9, 'Exhaust hose Ø 100, 3 m', 'air', 1, 12.5, 'needed'),
    },
    joints: {
      corner: { order: 1, name: 'Frame corners', count: 8, thread: 'M5', stackMm: 4, into: 'slotNut', holeDepthMm: 12 },
      plate: { order: 2, name: 'Gantry end plates', count: 8, thread: 'M5', stackMm: 9, into: 'aluminium', holeDepthMm: null },
      motor: { order: 3, name: 'Motors on their plates', count: 12, thread: 'M3', stackMm: 5, into: 'steel', holeDepthMm: 4.5 },
      clamp: { order: 4, name: 'Belt clamps', count: 4, thread: 'M3', stackMm: 7, into: 'nut', holeDepthMm: null },
    },
    bag: {
      a: { order: 1, thread: 'M5', lengthMm: 10, count: 8 },
      b: { order: 2, thread: 'M5', lengthMm: 20, count: 10 },
      c: { order: 3, thread: 'M3', lengthMm: 8, count: 10 },
      d: { order: 4, thread: 'M3', lengthMm: 12, count: 4 },
    },
    tasks: Object.fromEntries(tasks) as Plan['tasks'],
  }
}
