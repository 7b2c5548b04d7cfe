import { guessedChoice, setAt, templateOf, type Choice, type Fact, type Path } from '../core/bench'
import {
  airPartShape,
  airReadingShape,
  airWayShape,
  fanPointShape,
  inOrder,
  leakRead,
  printShape,
  roundArea,
  type Air,
  type AirKind,
  type AirPartFacts,
  type AirPlace,
  type AirReadingFacts,
  type AirWay,
  type Catch,
  type PrintFacts,
  type PrintKind,
} from '../core/air'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { airStandIn } from './machine'
import { nextOrder } from './rotary'
import { isDone, NO_BENCH, told, type Told } from './told'

const said = <C extends string>(chosen: C): Choice<C> => ({ ...guessedChoice(chosen), origin: 'stated' })

/** What is sold as a size measures so much more or less inside, mm. (common practice) */
const SOLD_WITHIN = 2

/** A duct's inside by what it is sold as. */
function soldAs(size: number, typedUnit: 'mm' | 'in' = 'mm'): Fact {
  const value = typedUnit === 'mm' ? size : size * 25.4
  return { value, typed: String(size), typedUnit, origin: 'stated', doubt: { kind: 'halfWidth', a: SOLD_WITHIN } }
}

const exactly = (value: number, typedUnit: Fact['typedUnit']): Fact => ({
  value,
  typed: String(value),
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})

type Given = Partial<AirPartFacts>
type Piece = readonly [kind: AirKind, given?: Given]

/** Sizes that ducts are sold in, mm or in. (common practice) */
export const DUCT_SIZES = { metric: [75, 80, 100, 125, 150, 160, 200], inch: [3, 4, 5, 6, 8] } as const

function wayOf(order: number, name: string, from: AirPlace, to: AirPlace, sold: Fact, pieces: readonly Piece[]): AirWay {
  const parts = pieces.map(([kind, given], k): [string, AirPartFacts] => [
    newId(),
    templateOf(airPartShape, { order: k + 1, kind, diameter: sold, ...given }),
  ])
  return templateOf(airWayShape, { order, name, from, to, parts: Object.fromEntries(parts) })
}

/** The usual way out: grille, metal by the work, hose, fan, flap, out. */
const OUT: readonly Piece[] = [
  ['end', { end: said('flanged') }],
  ['grille'],
  ['duct', { wall: said('metal') }],
  ['bend'],
  ['duct', { wall: said('hose') }],
  ['fan'],
  ['duct', { wall: said('hose') }],
  ['flap'],
  ['end', { end: said('out') }],
]
const IN: readonly Piece[] = [
  ['end', { end: said('plain') }],
  ['filter'],
  ['duct', { wall: said('hose') }],
  ['end', { end: said('out') }],
]

/** How somebody may begin. */
export const AIR_STARTS = ['open', 'sealed', 'hood', 'table', 'mouth'] as const
export type AirStart = (typeof AIR_STARTS)[number]

const CAUGHT: Readonly<Record<AirStart, Catch>> = { open: 'box', sealed: 'box', hood: 'hood', table: 'table', mouth: 'mouth' }

/** Lays the usual ways of the air for a start, all open to change. @param size What the duct is sold as, mm or in as the bench has it. */
export function layAir(start: AirStart, size: number): Told {
  const sold = soldAs(size, useBenchStore.getState().bench?.units === 'inch' ? 'in' : 'mm')
  const ways = { [newId()]: wayOf(1, 'Way out', 'box', 'outdoors', sold, OUT) }
  const supply = start === 'sealed' ? { [newId()]: wayOf(2, 'Air in', 'outdoors', 'box', sold, IN) } : {}
  return editBench('the ways of the air', (bench) => ({
    ...bench,
    air: {
      ...bench.air,
      box: {
        ...bench.air.box,
        caught: said(CAUGHT[start]),
        ...(start === 'sealed' ? { inlet: exactly(0, 'cm2') } : {}),
      },
      ways: { ...bench.air.ways, ...ways, ...supply },
    },
  }))
}

const airOf = (): Air | null => useBenchStore.getState().bench?.air ?? null

/** Adds a way of the air from the room to a junction: a second place that is drawn from. */
export function addAirWay(): Told {
  const air = airOf()
  if (air === null) return NO_BENCH
  const id = newId()
  const mm = lastDiameter(Object.values(air.ways)[0]) ?? soldAs(100)
  const way = templateOf(airWayShape, {
    order: nextOrder(air.ways),
    name: `Way ${nextOrder(air.ways)}`,
    from: 'room',
    to: 'joinA',
    parts: {
      [newId()]: templateOf(airPartShape, { order: 1, kind: 'end', diameter: mm }),
      [newId()]: templateOf(airPartShape, { order: 2, kind: 'duct', diameter: mm }),
      [newId()]: templateOf(airPartShape, { order: 3, kind: 'gate', diameter: mm, free: exactlyAll() }),
    },
  })
  return editBench('a way of the air', (it) => setAt(setAt(it, `air.ways.${id}`, way), 'air.shown', id))
}

const exactlyAll = (): Fact => ({ value: 1, typed: '100', typedUnit: 'percent', origin: 'stated', doubt: { kind: 'exact' } })

/** A junction just before the first fan of a way: what is before it stays, the rest is a way of its own. @returns What stands in the way. */
export function splitBeforeFan(id: string): Told {
  const air = airOf()
  const way = air?.ways[id]
  if (air === null || way === undefined) return NO_BENCH
  const parts = inOrder(way.parts)
  const at = parts.findIndex(([, it]) => it.kind === 'fan')
  if (at < 1) return told('There is no fan behind the first part of this way: a junction would part nothing from nothing.')
  const join = (['joinA', 'joinB', 'joinC'] as const).find(
    (it) => !Object.values(air.ways).some((w) => w.from === it || w.to === it),
  )
  if (join === undefined) return told('All three junctions are in use: lead the new way to one of them.')
  const second = newId()
  const cut = (rows: typeof parts): AirWay['parts'] => Object.fromEntries(rows)
  return editBench('a junction before the fan', (bench) => {
    const first = setAt(bench, `air.ways.${id}`, { ...way, to: join, parts: cut(parts.slice(0, at)) })
    const rest = templateOf(airWayShape, {
      order: nextOrder(air.ways),
      name: 'From the junction',
      from: join,
      to: way.to,
      parts: cut(parts.slice(at)),
    })
    return setAt(setAt(first, `air.ways.${second}`, rest), 'air.shown', second)
  })
}

export function removeAirWay(id: string): Told {
  return editBench('a way of the air taken away', (it) => setAt(it, `air.ways.${id}`, undefined))
}

/** Looks at another way. */
export function showWay(id: string): Told {
  return editBench('the way that is looked at', (it) => setAt(it, 'air.shown', id))
}

/** Changes where a way leads, or its name. */
export function setAirWay(id: string, part: Partial<Pick<AirWay, 'name' | 'from' | 'to'>>): Told {
  if (part.name !== undefined && part.name.trim() === '') return told('A way of the air needs a name.')
  return editBench('a way of the air', (it) => {
    const way = it.air.ways[id]
    return way === undefined ? it : setAt(it, `air.ways.${id}`, { ...way, ...part })
  })
}

/** Inside diameter behind the last part of a way that has one. */
function lastDiameter(way: AirWay | undefined): Fact | null {
  const round = inOrder(way?.parts ?? {}).filter(([, it]) => it.diameter.value !== null)
  const last = round[round.length - 1]?.[1]
  return last === undefined ? null : last.kind === 'reducer' && last.to.value !== null ? last.to : last.diameter
}

/** Adds a part at the end of a way, before an end that air leaves by. It takes over the diameter of what is before it. */
export function addAirPart(wayId: string, kind: AirKind): Told {
  const way = airOf()?.ways[wayId]
  if (way === undefined) return NO_BENCH
  const rows = inOrder(way.parts)
  const last = rows[rows.length - 1]
  const isBeforeEnd = last?.[1].kind === 'end' && last[1].end.chosen === 'out' && kind !== 'end'
  const order = isBeforeEnd ? last[1].order - 0.5 : nextOrder(way.parts)
  const diameter = lastDiameter(way)
  const part = templateOf(airPartShape, { order, kind, ...(diameter === null ? {} : { diameter }) })
  const id = newId()
  return editBench('a part of the way', (it) => inWholes(setAt(it, `air.ways.${wayId}.parts.${id}`, part), wayId))
}

/** Numbers the parts of a way 1, 2, 3. */
function inWholes<B extends { readonly air: Air }>(bench: B, wayId: string): B {
  const way = bench.air.ways[wayId]
  if (way === undefined) return bench
  return inOrder(way.parts).reduce((it, [id], k) => setAt(it, `air.ways.${wayId}.parts.${id}.order`, k + 1), bench)
}

/** Moves a part one place along its way. */
export function moveAirPart(wayId: string, id: string, by: -1 | 1): Told {
  const way = airOf()?.ways[wayId]
  const part = way?.parts[id]
  if (way === undefined || part === undefined) return NO_BENCH
  return editBench('the order of the parts', (it) =>
    inWholes(setAt(it, `air.ways.${wayId}.parts.${id}.order`, part.order + 1.5 * by), wayId),
  )
}

export function removeAirPart(wayId: string, id: string): Told {
  return editBench('a part of the way taken away', (it) => inWholes(setAt(it, `air.ways.${wayId}.parts.${id}`, undefined), wayId))
}

/** Adds a place to a fan's curve. */
export function addFanPoint(wayId: string, partId: string): Told {
  const part = airOf()?.ways[wayId]?.parts[partId]
  if (part === undefined) return NO_BENCH
  const at = `air.ways.${wayId}.parts.${partId}.points.${newId()}`
  return editBench('a point of the curve', (it) => setAt(it, at, templateOf(fanPointShape, { order: nextOrder(part.points) })))
}

/** Takes something of the air away. @param at Its path. */
export function removeOfAir(at: Path, words: string): Told {
  return editBench(words, (it) => setAt(it, at, undefined))
}

/** How the inlet stands while it is read. */
export const AIR_SETTINGS = ['inlet shut', 'inlet half open', 'inlet open', 'as it runs'] as const

/** Begins a reading. @param setting How inlet and gates stand. */
export function addAirReading(setting: string): Told {
  const air = airOf()
  if (air === null) return NO_BENCH
  const reading = templateOf(airReadingShape, {
    order: nextOrder(air.readings),
    at: new Date().toISOString(),
    setting: setting.slice(0, 60),
    ...(setting === 'inlet shut' ? { inlet: exactly(0, 'm/s') } : {}),
  })
  return editBench('a reading of the air', (it) => setAt(it, `air.readings.${newId()}`, reading))
}

/** Lets the gaps follow the readings, with a record, or those that were typed. @returns What stands in the way. */
export async function gapsByReadings(by: Air['gapsBy']): Promise<Told> {
  const { bench: before } = useBenchStore.getState()
  if (before === null) return NO_BENCH
  if (by === 'readings' && !engineOf(before).value(leakRead).result.known)
    return told('No gaps follow from the readings yet: read with the inlet shut, half open and open.')
  const edited = editBench(by === 'readings' ? 'gaps by the readings' : 'gaps as typed', (it) => setAt(it, 'air.gapsBy', by))
  if (!isDone(edited) || by === 'typed') return edited
  return airRecord('Gaps follow the readings', [leakRead])
}

/** Keeps a record of what the air was read to be. */
async function airRecord(title: string, figures: readonly (typeof leakRead)[]): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const gave = figures.map((def) => {
    const { doubt } = engineOf(bench).withDoubt(def)
    return { id: def.id, args: [], same: doubt?.expanded ?? 0 }
  })
  return keepRecord(
    { stage: 'air', title, note: '', redo: 'Read the air again: inlet shut, half open, open.', beneath: [] },
    gave,
    [],
  )
}

/** Writes down how the smoke trial went. */
export async function keepSmokeTrial(): Promise<Told> {
  const air = airOf()
  if (air === null) return NO_BENCH
  const words = { in: 'smoke was drawn in at every gap', lingers: 'smoke lingered at a gap', out: 'smoke came out' }
  if (air.smoke.chosen === null) return told('Say first how the trial went.')
  return keepRecord(
    {
      stage: 'air',
      title: `Smoke trial: ${words[air.smoke.chosen]}`,
      note: '',
      redo: 'Hold smoke along every gap again.',
      beneath: [],
    },
    [],
    [],
  )
}

/** Names of parts as they are first called. */
const PRINT_NAMES: Readonly<Record<PrintKind, string>> = {
  adapter: 'Adapter',
  flange: 'Flange with a grille',
  bracket: 'Fan plate',
  insert: 'Window insert',
}

/** Adds a part to be made for the duct. */
export function addPrint(kind: PrintKind): Told {
  const air = airOf()
  if (air === null) return NO_BENCH
  const order = nextOrder(air.prints)
  const same = Object.values(air.prints).filter((it) => it.kind === kind).length
  const name = same === 0 ? PRINT_NAMES[kind] : `${PRINT_NAMES[kind]} ${same + 1}`
  return editBench('a part for the duct', (it) =>
    setAt(it, `air.prints.${newId()}`, templateOf(printShape, { order, kind, name })),
  )
}

/** Changes plain words of a part for the duct. */
export function setPrint(id: string, part: Partial<Pick<PrintFacts, 'name' | 'lowGoes' | 'highGoes'>>): Told {
  if (part.name !== undefined && part.name.trim() === '') return told('A part needs a name.')
  return editBench('a part for the duct', (it) => {
    const print = it.air.prints[id]
    return print === undefined ? it : setAt(it, `air.prints.${id}`, { ...print, ...part })
  })
}

/** How far the inlet stands open at each setting. */
const OPEN: Readonly<Record<(typeof AIR_SETTINGS)[number], number>> = {
  'inlet shut': 0,
  'inlet half open': 0.5,
  'inlet open': 1,
  'as it runs': 1,
}
/** What a reading of the stand-in's instruments is off by, one standard deviation: m/s and Pa. */
const READ = { speed: 0.04, column: 1 } as const

/** Reads the stand-in's air three times with the inlet shut, half open and open. @returns What stands in the way. */
export async function readAirByStandIn(): Promise<Told> {
  const air = airOf()
  const { outDiameter, inletArea } = air?.meter ?? {}
  if (air === null || outDiameter?.value == null || inletArea?.value == null || inletArea.value === 0)
    return told('Say first where the air is read: the diameter where it leaves, and the area at the inlet.')
  const asked = { outArea: roundArea(outDiameter.value), inletArea: inletArea.value / 1e4 }
  const made: Record<string, AirReadingFacts> = {}
  let order = nextOrder(air.readings)
  const at = new Date().toISOString()
  const read = (value: number, decimals: number, typedUnit: 'm/s' | 'Pa', u: number): Fact => {
    const typed = value.toFixed(decimals)
    const scale = typedUnit === 'm/s' ? 1000 : 1
    return { value: Number(typed) * scale, typed, typedUnit, origin: 'measured', doubt: { kind: 'standard', u: u * scale }, at }
  }
  for (const setting of AIR_SETTINGS.slice(0, 3))
    for (let k = 0; k < 3; k++) {
      const said = await airStandIn({ ...asked, open: OPEN[setting] })
      if (said === null) return told('No stand-in is connected.')
      made[newId()] = templateOf(airReadingShape, {
        order: order++,
        at,
        setting,
        out: read(said.out, 2, 'm/s', READ.speed),
        inlet: OPEN[setting] === 0 ? exactly(0, 'm/s') : read(said.inlet, 2, 'm/s', READ.speed),
        below: read(said.below, 1, 'Pa', READ.column),
        suction: read(said.suction, 1, 'Pa', READ.column),
      })
    }
  return editBench('readings of the stand-in’s air', (it) => setAt(it, 'air.readings', { ...it.air.readings, ...made }))
}
