import { shownNumber, valuesOf, type Engine, type FigureDef } from '../bench'
import { beltsOfMachine, cutListOf, PLATES } from '../motion'
import { barsNeeded, beltToOrder, guidesNeeded, plateDepth, plateWidth, type PlanPart } from '../schedule'
import { sayQuantity, type UnitSystem } from '../units'
import type { Bench } from './bench'

/** A part that the machine itself asks for, not in the list yet. */
export type WantedPart = Omit<PlanPart, 'order'>

/**
 * What the machine's own lengths ask for and the parts list does not have: under that name, or as the stock that it is
 * cut from. Lengths that are not known yet ask for nothing.
 */
export function wantedParts(engine: Engine<Bench>): readonly WantedPart[] {
  const [names, covered] = [new Set<string>(), new Set<string>()]
  for (const { name, covers } of valuesOf(engine.bench.plan.parts)) {
    names.add(name)
    covered.add(covers)
  }
  return [...stock(engine), ...belts(engine), ...plates(engine), ...drives(engine), ...electrics(engine)].filter(
    (it) => !names.has(it.name) && (it.covers === '' || !covered.has(it.covers)),
  )
}

const PLAIN = { state: 'needed', price: 0, arrives: '', covers: '', lengthMm: 0 } as const

function stock(engine: Engine<Bench>): readonly WantedPart[] {
  const { motion, plan, units } = engine.bench
  const list = cutListOf(motion.kinematics.chosen, motion.frame.guides.chosen)
  const [bars, guides] = [valueOf(engine, barsNeeded), valueOf(engine, guidesNeeded)]
  const size = (mm: number | null): string => sayRoundedUp(mm ?? 0, units)
  const runner = motion.frame.guides.chosen === 'shafts' ? 'Shaft' : 'Rail'
  const part = (name: string, count: number | null, covers: 'bars' | 'guides'): readonly WantedPart[] =>
    list[covers].length === 0 || count === null ? [] : [{ ...PLAIN, name, where: 'frame', count, covers }]
  return [
    ...part(`Bar ${size(motion.frame.barWidth.value)} wide, ${size(plan.stock.length.value)}`, bars, 'bars'),
    ...part(`${runner} of ${size(plan.guideStock.length.value)}`, guides, 'guides'),
  ]
}

function belts(engine: Engine<Bench>): readonly WantedPart[] {
  const { motion, units } = engine.bench
  const crossed = motion.kinematics.chosen === 'crossed'
  return beltsOfMachine(motion).flatMap(({ axis, letter, count }) => {
    const length = valueOf(engine, beltToOrder, axis)
    if (length === null) return []
    const pitch = motion.axes[axis]?.beltPitch.value ?? null
    const name = [
      `Belt ${crossed ? `of the ${letter === 'X' ? 'left' : 'right'} motor` : `along ${letter}`}`,
      ...(pitch === null ? [] : [`${sayQuantity(pitch, null, 'mm')} pitch`]),
      sayRoundedUp(length, units),
    ].join(', ')
    return [{ ...PLAIN, name, where: 'drives', count, covers: 'belt', lengthMm: roundedUp(length, units) }]
  })
}

function plates(engine: Engine<Bench>): readonly WantedPart[] {
  const { motion, units } = engine.bench
  return cutListOf(motion.kinematics.chosen, motion.frame.guides.chosen).plates.flatMap((id) => {
    const [width, depth] = [valueOf(engine, plateWidth, id), valueOf(engine, plateDepth, id)]
    if (width === null || depth === null) return []
    const thickness = motion.frame.plateThickness.value
    // The bed is a sheet of its own; its thickness is not that of the plates.
    const thick = id === 'bed' || thickness === null ? '' : `, ${sayRoundedUp(thickness, units)} thick`
    const { name, count } = PLATES[id]
    const size = `${sayRoundedUp(width, units)} × ${sayRoundedUp(depth, units)}${thick}`
    return [{ ...PLAIN, name: `${name}, ${size}`, where: 'frame', count }]
  })
}

/** Motors, what they turn, and what drives them; of a machine that is there nothing. */
function drives({ bench: { motion } }: Engine<Bench>): readonly WantedPart[] {
  if (motion.kinematics.chosen === 'retrofit') return []
  const crossed = motion.kinematics.chosen === 'crossed'
  const axes = valuesOf(motion.axes).map((axis) => ({
    belted: axis.drive.chosen === 'belt' || axis.drive.chosen === 'reducedBelt',
    motors: crossed && axis.letter !== 'Z' ? 1 : (axis.motors.value ?? 1),
    shared: axis.motors.value === 2 && axis.drivers.chosen !== 'each',
    teeth: axis.pulleyTeeth.value,
    torque: axis.holdingTorque.typed,
  }))
  const sum = (of: (axis: (typeof axes)[number]) => number): number => axes.reduce((total, it) => total + of(it), 0)
  const mirrors = motion.kinematics.chosen === 'mirrors'
  const belts = mirrors ? 0 : sum((it) => (it.belted ? it.motors : 0))
  const teeth = [...new Set(axes.filter((it) => it.belted).map((it) => it.teeth))]
  const part = (name: string, count: number, covers: PlanPart['covers']): readonly WantedPart[] =>
    count === 0 ? [] : [{ ...PLAIN, name, where: 'drives', count, covers }]
  const drivers = sum((it) => (it.shared ? 1 : it.motors))
  const onBoard = motion.boardDrivers.value ?? drivers
  return [
    ...part(
      `Stepper motor${axes[0]?.torque === '' ? '' : `, ${axes[0]?.torque ?? ''} N·m`}`,
      sum((it) => it.motors),
      'motor',
    ),
    ...part('Motor driver', Math.max(0, drivers - onBoard), 'driver'),
    ...part(`Pulley, ${teeth.length === 1 ? `${teeth[0] ?? ''} teeth` : 'as many teeth as the others'}`, belts, 'pulley'),
    ...part('Idler', crossed ? 4 * belts : belts, 'idler'),
  ]
}

/** What says and feeds it all: controller, supply, head, end switches. */
function electrics({ bench: { motion, optics } }: Engine<Bench>): readonly WantedPart[] {
  const part = (name: string, count: number, covers: PlanPart['covers']): WantedPart => {
    return { ...PLAIN, name, where: 'wiring', count, covers }
  }
  const power = optics.power.value === null ? '' : `, ${optics.power.typed} W`
  const head = part(`Diode head${power}`, 1, 'head')
  if (motion.kinematics.chosen === 'retrofit') return [head]
  const { motorVoltage } = motion
  const scanning = valuesOf(motion.axes).filter((it) => it.letter !== 'Z').length
  const volts = motorVoltage.value === null ? '' : `, ${motorVoltage.typed} V`
  return [head, part('Controller', 1, 'controller'), part(`Supply${volts}`, 1, 'supply'), part('End switch', scanning, 'switch')]
}

function valueOf<A extends readonly string[]>(engine: Engine<Bench>, def: FigureDef<Bench, A>, ...args: A): number | null {
  return shownNumber(engine.value(def, ...args).result)
}

const HUNDREDTH_INCH = 0.254
/** Of a length that was worked, mm; less is the arithmetic of the machine, not a length. */
const NOTHING = 1e-6

/** Up to whole millimetres, or to hundredths of an inch; mm. What is ordered may be longer, never shorter. */
function roundedUp(mm: number, units: UnitSystem): number {
  return units === 'metric' ? Math.ceil(mm - NOTHING) : Math.ceil(mm / HUNDREDTH_INCH - NOTHING) * HUNDREDTH_INCH
}

function sayRoundedUp(mm: number, units: UnitSystem): string {
  return sayQuantity(roundedUp(mm, units), null, units === 'metric' ? 'mm' : 'in')
}
