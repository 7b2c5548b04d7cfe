import { setAt, shownNumber, type FigureDef } from '../core/bench'
import type { Bench } from '../core/document'
import { crossedBeltLength } from '../core/motion'
import { barsNeeded, beltToOrder, cutListOf, guidesNeeded, PLATES, plateDepth, plateWidth, type PlanPart } from '../core/schedule'
import { sayQuantity } from '../core/units'
import { editBench } from './benchStore'
import { engineOf } from './evaluate'
import { newId } from './ids'

type Wanted = Omit<PlanPart, 'order'>

/** What the machine's own lengths ask for and the parts list does not have under that name, or as that stock. */
export function machineParts(bench: Bench): readonly Wanted[] {
  const listed = Object.values(bench.plan.parts)
  return everyPart(bench).filter(
    (it) => !listed.some(({ name, covers }) => name === it.name || (covers !== '' && covers === it.covers)),
  )
}

/** Puts them behind the parts that are there, not ordered, without a price; one undo step. */
export function addMachineParts(wanted: readonly Wanted[]): string | null {
  return editBench('what the machine asks for', (bench) => {
    const first = Math.max(0, ...Object.values(bench.plan.parts).map((it) => it.order))
    const added = wanted.map((it, i): [string, PlanPart] => [newId(), { ...it, order: first + i + 1 }])
    return setAt(bench, 'plan.parts', { ...bench.plan.parts, ...Object.fromEntries(added) })
  })
}

function everyPart(bench: Bench): readonly Wanted[] {
  const engine = engineOf(bench)
  const number = <A extends readonly string[]>(def: FigureDef<Bench, A>, ...args: A): number | null =>
    shownNumber(engine.value(def, ...args).result)
  const { axes, frame, kinematics } = bench.motion
  const list = cutListOf(kinematics.chosen, frame.guides.chosen)
  const part = (name: string, where: string, count: number | null, covers: PlanPart['covers'] = ''): Wanted[] =>
    count === null || count < 1 ? [] : [{ name, where, count, state: 'needed', price: 0, arrives: '', covers }]
  /** Rounded up to whole millimetres, or to hundredths of an inch. */
  const size = (mm: number): string =>
    bench.units === 'metric'
      ? sayQuantity(Math.ceil(mm - 1e-6), null, 'mm')
      : sayQuantity(Math.ceil(mm / 0.254 - 1e-6) * 0.254, null, 'in')
  const belts = Object.entries(axes).flatMap(([id, { letter, drive, motors, beltPitch }]) => {
    if (letter === 'Z' || !['belt', 'reducedBelt'].includes(drive.chosen ?? '') || list.bars.length === 0) return []
    const crossed = kinematics.chosen === 'crossed'
    const length = crossed ? number(crossedBeltLength, letter === 'X' ? 'a' : 'b') : number(beltToOrder, id)
    const pitch = beltPitch.value === null ? '' : `, ${sayQuantity(beltPitch.value, null, 'mm')} pitch`
    const name = `Belt ${crossed ? (letter === 'X' ? 'of the left motor' : 'of the right motor') : `along ${letter}`}`
    return length === null ? [] : part(`${name}${pitch}, ${size(length)}`, 'drives', crossed ? 1 : (motors.value ?? 1))
  })
  const plates = list.plates.flatMap((id) => {
    const [w, d] = [number(plateWidth, id), number(plateDepth, id)]
    const { name, count } = PLATES[id]
    if (w === null || d === null) return []
    // The bed is a sheet of its own; its thickness is not that of the plates.
    const thick = id === 'bed' || frame.plateThickness.value === null ? '' : `, ${size(frame.plateThickness.value)} thick`
    return part(`${name}, ${size(w)} × ${size(d)}${thick}`, 'frame', count)
  })
  const rail = frame.guides.chosen === 'shafts' ? 'Shaft' : 'Rail'
  return [
    ...(list.bars.length === 0
      ? []
      : part(
          `Bar ${size(frame.barWidth.value ?? 0)} wide, ${size(bench.plan.stock.length.value ?? 0)}`,
          'frame',
          number(barsNeeded),
          'bars',
        )),
    ...(list.guides.length === 0
      ? []
      : part(`${rail} of ${size(bench.plan.guideStock.length.value ?? 0)}`, 'frame', number(guidesNeeded), 'guides')),
    ...belts,
    ...plates,
  ]
}
