import { setAt, shownNumber, templateOf } from '../core/bench'
import { cutSettingShape, cutSpeed, cutTryShape, materialShape } from '../core/burn'
import { gapAtFocus } from '../core/calibrate'
import type { Step } from '../core/gcode'
import type { Bench } from '../core/document'
import { whyNotBurnt } from '../core/safety'
import { displayUnit, parseQuantity, sayQuantity } from '../core/units'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { useMachine } from './machineStore'
import { DONE, isDone, NO_BENCH, told, type Told } from './told'

/** Puts a material into the book. @returns Its id, and what stands in the way: then nothing is put in. */
export function addMaterial(name: string): { readonly id: string; readonly said: Told } {
  const { bench } = useBenchStore.getState()
  if (bench === null) return { id: '', said: NO_BENCH }
  const wrong = nameFinding(bench, name)
  if (!isDone(wrong)) return { id: '', said: wrong }
  const id = newId()
  const order = 1 + Math.max(0, ...Object.values(bench.burns.materials).map((it) => it.order))
  const row = templateOf(materialShape, { order, name: name.trim() })
  return { id, said: editBench('a material in the book', (it) => setAt(it, `burns.materials.${id}`, row)) }
}

/** What is wrong with the name of a material; empty where nothing is. @param but Id of the one that is renamed. */
function nameFinding(bench: Bench, name: string, but = ''): Told {
  const wanted = name.trim()
  if (wanted === '') return told('A material needs a name.')
  if (wanted.length > LONGEST_NAME) return told(`A name has at most ${LONGEST_NAME} letters; this one has ${wanted.length}.`)
  const isTaken = Object.entries(bench.burns.materials).some(([id, it]) => id !== but && it.name === wanted)
  return isTaken ? told(`${wanted} stands in the book already. Add its thickness or where it is from to the name.`) : DONE
}
const LONGEST_NAME = 60

export function renameMaterial(id: string, name: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const wrong = nameFinding(bench, name, id)
  if (!isDone(wrong)) return wrong
  return editBench('the name of a material', (it) => setAt(it, `burns.materials.${id}.name`, name.trim()))
}

export function setMaterialKind(id: string, kind: string): Told {
  return editBench('what a material is', (it) => setAt(it, `burns.materials.${id}.kind`, kind))
}

export function removeMaterial(id: string): Told {
  return editBench('a material out of the book', (it) => setAt(it, `burns.materials.${id}`, undefined))
}

/** What was done with a line, and whether it came through. */
export interface TryMade {
  readonly power: number
  readonly speed: number
  readonly passes: number
  readonly isThrough: boolean
}

/** Writes a try down. @returns What stands in the way. */
export function addTry(materialId: string, made: TryMade): Told {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  if (material === undefined) return told('This material is not in the book any more.')
  const against = whyNotBurnt(material.kind)
  if (against !== null) return told(`${material.name} is not burnt. ${against}.`)
  const order = 1 + Math.max(0, ...Object.values(material.tries).map((it) => it.order))
  const { isThrough, ...numbers } = made
  const row = templateOf(cutTryShape, { order, at: new Date().toISOString(), ...numbers, through: isThrough ? 'yes' : 'no' })
  return editBench('a try', (it) => setAt(it, `burns.materials.${materialId}.tries.${newId()}`, row))
}

/** Writes down a try whose speed was typed. @param typed With or without its unit. @returns What stands in the way. */
export function addTypedTry(materialId: string, typed: string, isThrough: boolean): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const read = parseQuantity(typed, 'speed', displayUnit('speed', bench.units))
  if (!read.ok) return read.findings
  if (!(read.value.value > 0)) return told('Type the speed of the line, more than 0.')
  return addTry(materialId, { ...wantedCut(bench), speed: read.value.value, isThrough })
}

export function removeTry(materialId: string, id: string): Told {
  return editBench('a try taken away', (it) => setAt(it, `burns.materials.${materialId}.tries.${id}`, undefined))
}

/** Power and passes that are asked for. */
export function wantedCut({ burns }: Bench): { readonly power: number; readonly passes: number } {
  return { power: burns.cutPower.value ?? 1, passes: Math.max(1, Math.round(burns.cutPasses.value ?? 1)) }
}

/** Length of a line that is tried, mm. */
const TRY_LENGTH = 25
const APPROACH = 4

/** The program of a try: one line, so often as there are passes. */
export function trySteps(bench: Bench, speed: number): readonly Step[] {
  const { power, passes } = wantedCut(bench)
  const [x, y] = [bench.calibrate.startX.value ?? 12, bench.calibrate.startY.value ?? 12]
  const once = [
    { kind: 'rapid', x: x - APPROACH, y },
    { kind: 'rapid', x, y },
    { kind: 'line', x: x + TRY_LENGTH, y, feed: speed, power },
  ] as const
  return [
    { kind: 'remark', text: 'A line to cut through' },
    ...Array.from({ length: passes }, () => once).flat(),
    { kind: 'rapid', x, y },
  ]
}

/** Looks at the stand-in's sheet: whether the line that was tried is through. @returns Null where it does not lie there. */
export function isThroughOnStandIn(burnt: string): boolean | null {
  const { marks, burnt: there } = useMachine.getState()
  return there === burnt && marks.length > 0 ? marks.some((it) => it?.cut !== undefined) : null
}

/** Keeps what was learnt as a setting of the book, with its record. @returns What stands in the way. */
export async function keepSetting(materialId: string): Promise<Told> {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  if (bench === null || material === undefined) return told('This material is not in the book any more.')
  const against = whyNotBurnt(material.kind)
  if (against !== null) return told(`${material.name} is not burnt. ${against}.`)
  const engine = engineOf(bench)
  const speed = shownNumber(engine.value(cutSpeed, materialId).result)
  if (speed === null) return told('The speed is not known yet: one line has to come through, and one not.')
  const { power, passes } = wantedCut(bench)
  const order = 1 + Math.max(0, ...Object.values(material.settings).map((it) => it.order))
  const row = templateOf(cutSettingShape, { order, at: new Date().toISOString(), power, speed, passes })
  const edited = editBench('a setting of the book', (it) => setAt(it, `burns.materials.${materialId}.settings.${newId()}`, row))
  if (!isDone(edited)) return edited
  const focus = engine.withDoubt(gapAtFocus)
  const rests = shownNumber(focus.result) === null ? [] : [{ id: focus.def.id, args: [], same: focus.doubt?.expanded ?? 0 }]
  return keepRecord(
    {
      stage: 'burns',
      title: `${material.name} is cut at ${sayQuantity(speed, null, displayUnit('speed', bench.units))}`,
      note: `With ${Math.round(power * 100)} % in ${passes === 1 ? 'one pass' : `${passes} passes`}.`,
      redo: `Try ${material.name} again and keep its speed.`,
      beneath: [],
    },
    [{ id: cutSpeed.id, args: [materialId], same: 0.05 * speed }, ...rests],
    [],
  )
}

export function removeSetting(materialId: string, id: string): Told {
  return editBench('a setting out of the book', (it) => setAt(it, `burns.materials.${materialId}.settings.${id}`, undefined))
}
