import { setAt, shownNumber, templateOf, type Fact, type Path } from '../core/bench'
import type { Bench } from '../core/document'
import { circumference, keepOffShape, nominalTurn, objectShape, sectionShape, turnSteps, turnStepsOf } from '../core/rotary'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { calibrationRedo } from './controller'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { isDone, NO_BENCH, told, type Told } from './told'

/** The order behind all of a list. */
export function nextOrder(list: Readonly<Record<string, { readonly order: number }>>): number {
  return 1 + Math.max(0, ...Object.values(list).map((it) => it.order))
}

/** Adds an object with room for two diameters, and takes it in hand. @returns What stands in the way. */
export function addObject(name: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const wanted = name.trim()
  if (wanted === '') return told('Say what it is: a mug, a tool handle.')
  const id = newId()
  const sections = { [newId()]: templateOf(sectionShape, { order: 1 }), [newId()]: templateOf(sectionShape, { order: 2 }) }
  const object = templateOf(objectShape, { order: nextOrder(bench.rotary.objects), name: wanted.slice(0, 60), sections })
  return editBench(`${wanted} to be turned`, (it) => setAt(setAt(it, `rotary.objects.${id}`, object), 'rotary.inHand', id))
}

/** Takes another object in hand. */
export function takeInHand(id: string): Told {
  return editBench('another object in hand', (it) => setAt(it, 'rotary.inHand', id))
}

/** Takes an object away; where it was in hand, the next one is. */
export function removeObject(id: string): Told {
  return editBench('an object taken away', (bench) => {
    const without = setAt(bench, `rotary.objects.${id}`, undefined)
    if (bench.rotary.inHand !== id) return without
    return setAt(without, 'rotary.inHand', Object.keys(without.rotary.objects)[0] ?? '')
  })
}

export function renameObject(id: string, name: string): Told {
  return editBench('the name of an object', (it) => setAt(it, `rotary.objects.${id}.name`, name.trim()))
}

/** Adds a place along an object where its diameter is measured. */
export function addSection(id: string): Told {
  return addTo(id, 'sections', 'a diameter', (order) => templateOf(sectionShape, { order }))
}

/** Adds a stretch that nothing is burnt on. */
export function addKeepOff(id: string): Told {
  return addTo(id, 'keepOff', 'a stretch to keep off', (order) => templateOf(keepOffShape, { order }))
}

function addTo(id: string, list: 'sections' | 'keepOff', words: string, make: (order: number) => object): Told {
  const object = useBenchStore.getState().bench?.rotary.objects[id]
  if (object === undefined) return NO_BENCH
  return editBench(words, (it) => setAt(it, `rotary.objects.${id}.${list}.${newId()}`, make(nextOrder(object[list]))))
}

/** Takes something of an object, or a run, away. @param at Its path. */
export function removeOfRotary(at: Path, words: string): Told {
  return editBench(words, (it) => setAt(it, at, undefined))
}

/** Sets a plain word of an object. */
export function setPlain(at: Path, value: string, words: string): Told {
  return editBench(words, (it) => setAt(it, at, value))
}

/** Steps for a turn that are in force for the object in hand; null while they are not known. */
export function stepsInForce(bench: Bench): number | null {
  return shownNumber(engineOf(bench).value(turnSteps, bench.rotary.inHand).result)
}

/** The same by the drive alone. */
export function stepsOfDrive(bench: Bench): number | null {
  return shownNumber(engineOf(bench).value(nominalTurn, bench.rotary.inHand).result)
}

/** Lets the steps follow a run of turns, with its record. @returns What stands in the way. */
export async function followTurns(runId: string): Promise<Told> {
  const { bench: before } = useBenchStore.getState()
  if (before === null) return NO_BENCH
  if (runId !== '' && shownNumber(engineOf(before).value(turnStepsOf, runId).result) === null)
    return told('Nothing follows from this run yet: read the overrun of one turn and of several.')
  const edited = editBench(runId === '' ? 'no run of turns followed' : 'a run of turns followed', (it) =>
    setAt(it, 'rotary.turnBy', runId),
  )
  if (!isDone(edited) || runId === '') return edited
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const figure = engineOf(bench).withDoubt(turnStepsOf, runId)
  return keepRecord(
    { stage: 'rotary', title: 'Steps for a turn follow a run', note: '', redo: calibrationRedo('rotary steps'), beneath: [] },
    [{ id: figure.def.id, args: [runId], same: figure.doubt?.expanded ?? 0 }],
    [],
  )
}

/** Makes the sheet of the work order the unrolled stretch of the work: once round where the order closes. @returns What stands in the way. */
export function sheetAsUnrolled(): Told {
  const { bench } = useBenchStore.getState()
  const object = bench?.rotary.objects[bench.rotary.inHand]
  if (bench === null || object === undefined) return told('Say first what is to be turned.')
  const { workFrom, workTo, workAround } = object
  const once = shownNumber(engineOf(bench).value(circumference, bench.rotary.inHand).result)
  const around = bench.rotary.wraps === 'yes' ? once : workAround.value
  if (workFrom.value === null || workTo.value === null || around === null || workTo.value <= workFrom.value)
    return told('Say on “Object” from where to where the work goes, and how far around.')
  const along = workTo.value - workFrom.value
  const isAlongX = bench.rotary.stack.axisLies.chosen !== 'y'
  const size = (mm: number): Fact => ({
    value: Number(mm.toFixed(2)),
    typed: String(Number(mm.toFixed(2))),
    typedUnit: 'mm',
    origin: 'stated',
    doubt: { kind: 'exact' },
  })
  return editBench('the sheet as the unrolled work', (it) => ({
    ...it,
    work: { ...it.work, sheetWidth: size(isAlongX ? along : around), sheetHeight: size(isAlongX ? around : along) },
  }))
}
