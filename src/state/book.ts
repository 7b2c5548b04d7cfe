import { setAt, templateOf } from '../core/bench'
import { cutTryShape, maskTryShape, materialShape } from '../core/burn'
import type { Step } from '../core/gcode'
import type { Bench } from '../core/document'
import { whyNotBurnt } from '../core/safety'
import { displayUnit, parseQuantity } from '../core/units'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
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
export function trySteps(
  bench: Bench,
  speed: number,
  { power, passes }: { readonly power: number; readonly passes: number } = wantedCut(bench),
): readonly Step[] {
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

/** What became of a line that was cut through the tape of a mask. */
export interface MaskTryMade {
  readonly power: number
  readonly speed: number
  readonly isCut: boolean
  readonly isMarked: boolean
}

/** Writes a try of a mask down. @returns What stands in the way. */
export function addMaskTry(materialId: string, { isCut, isMarked, power, speed }: MaskTryMade): Told {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  if (material === undefined) return told('This material is not in the book any more.')
  const against = whyNotBurnt(material.kind)
  if (against !== null) return told(`${material.name} is not burnt. ${against}.`)
  const order = 1 + Math.max(0, ...Object.values(material.maskTries).map((it) => it.order))
  const said = { cut: isCut ? 'yes' : 'no', marked: isMarked ? 'yes' : 'no' } as const
  const row = templateOf(maskTryShape, { order, at: new Date().toISOString(), power, speed, ...said })
  return editBench('a try of a mask', (it) => setAt(it, `burns.materials.${materialId}.maskTries.${newId()}`, row))
}

/** Writes a try of a mask down whose speed was typed. @param typed With or without its unit. @returns What stands in the way. */
export function addTypedMaskTry(materialId: string, typed: string, isCut: boolean, isMarked: boolean): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const read = parseQuantity(typed, 'speed', displayUnit('speed', bench.units))
  if (!read.ok) return read.findings
  if (!(read.value.value > 0)) return told('Type the speed of the line, more than 0.')
  return addMaskTry(materialId, { power: bench.burns.maskPower.value ?? 1, speed: read.value.value, isCut, isMarked })
}

export function removeMaskTry(materialId: string, id: string): Told {
  return editBench('a try of a mask taken away', (it) => setAt(it, `burns.materials.${materialId}.maskTries.${id}`, undefined))
}
