import { guessedChoice, setAt, shownNumber, templateOf, type Fact, type Path } from '../core/bench'
import {
  baffleShape,
  needed,
  offcutShape,
  portShape,
  sheetShape,
  type Housing,
  type Mount,
  type PortFacts,
  type PortKind,
  type Way,
} from '../core/housing'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { nextOrder } from './rotary'
import { NO_BENCH, told, type Told } from './told'
import { takeArtwork } from './work'

const housingOf = (): Housing | null => useBenchStore.getState().bench?.housing ?? null

const stated = (value: number, typed: string, typedUnit: Fact['typedUnit'] = 'mm'): Fact => ({
  value,
  typed,
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})

/** What a size is rounded up to when it is fixed, mm. */
const STEP = 5

/** Fixes the inside of the box as its needs say, their ± counted, up to the next 5 mm. @returns What stands in the way. */
export function fixSizes(): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const engine = engineOf(bench)
  const sizes = (['x', 'y', 'z'] as const).flatMap((way): readonly (readonly [Way, number])[] => {
    const { result, doubt } = engine.withDoubt(needed, way)
    const value = shownNumber(result)
    return value === null || Number.isNaN(value) ? [] : [[way, Math.ceil((value + (doubt?.expanded ?? 0)) / STEP) * STEP]]
  })
  if (sizes.length === 0) return told('Measure the machine first, with its head at every end of travel.')
  return editBench('the size of the box', (it) =>
    sizes.reduce((at, [way, mm]) => setAt(at, `housing.size.${way}`, stated(mm, String(mm))), it),
  )
}

/** Thicknesses that sheet is offered in, mm. (common practice) */
const USUAL = [9, 12, 18] as const
/** What is sold as a thickness measures so much more or less. (EN 315, from memory) */
const SOLD_WITHIN = 0.4

/** Puts the usual thicknesses on the list, to be compared. */
export function addUsualSheets(): Told {
  const housing = housingOf()
  if (housing === null) return NO_BENCH
  const first = nextOrder(housing.sheets)
  const made = USUAL.map((mm, k) => {
    const thickness: Fact = { ...stated(mm, String(mm)), doubt: { kind: 'halfWidth', a: SOLD_WITHIN } }
    return [newId(), templateOf(sheetShape, { order: first + k, thickness })] as const
  })
  return editBench('sheets to compare', (it) =>
    setAt(
      setAt(it, 'housing.sheets', { ...it.housing.sheets, ...Object.fromEntries(made) }),
      'housing.sheet',
      made[0]?.[0] ?? '',
    ),
  )
}

/** Adds a sheet, blank. */
export function addSheet(): Told {
  const housing = housingOf()
  if (housing === null) return NO_BENCH
  const id = newId()
  return editBench('a sheet', (it) => {
    const added = setAt(it, `housing.sheets.${id}`, templateOf(sheetShape, { order: nextOrder(housing.sheets) }))
    return housing.sheets[housing.sheet] === undefined ? setAt(added, 'housing.sheet', id) : added
  })
}

/** Makes the box of another sheet. */
export function takeSheet(id: string): Told {
  return editBench('the sheet in use', (it) => setAt(it, 'housing.sheet', id))
}

export function addOffcut(): Told {
  const housing = housingOf()
  if (housing === null) return NO_BENCH
  return editBench('an offcut', (it) =>
    setAt(it, `housing.offcuts.${newId()}`, templateOf(offcutShape, { order: nextOrder(housing.offcuts) })),
  )
}

/** Takes something of the housing away. @param at Its path. */
export function removeOfHousing(at: Path, words: string): Told {
  return editBench(words, (it) => setAt(it, at, undefined))
}

/** Names of ports as they are first called, and whether they let light through. */
const PORTS: Readonly<Record<PortKind, { readonly name: string; readonly filled?: 'yes' | 'no'; readonly round: 'yes' | 'no' }>> =
  {
    inlet: { name: 'Inlet', filled: 'no', round: 'no' },
    vent: { name: 'Vent', filled: 'no', round: 'yes' },
    cable: { name: 'Cable', filled: 'yes', round: 'yes' },
    hose: { name: 'Hose', filled: 'yes', round: 'yes' },
    controller: { name: 'Controller', round: 'no' },
    camera: { name: 'Camera', filled: 'yes', round: 'yes' },
    lamp: { name: 'Lamp', filled: 'yes', round: 'no' },
    window: { name: 'Window', round: 'no' },
    label: { name: 'Label', filled: 'yes', round: 'no' },
  }

/** Puts something into a wall. */
export function addPort(kind: PortKind): Told {
  const housing = housingOf()
  if (housing === null) return NO_BENCH
  const { name, filled, round } = PORTS[kind]
  const same = Object.values(housing.ports).filter((it) => it.kind === kind).length
  const said = <C extends string>(chosen: C) => ({ ...guessedChoice(chosen), origin: 'stated' }) as const
  const port = templateOf(portShape, {
    order: nextOrder(housing.ports),
    kind,
    name: same === 0 ? name : `${name} ${same + 1}`,
    wall: kind === 'window' || kind === 'camera' || kind === 'lamp' ? 'roof' : 'back',
    round: said(round),
    ...(filled === undefined ? {} : { filled: said(filled) }),
  })
  return editBench('an opening', (it) => setAt(it, `housing.ports.${newId()}`, port))
}

/** Changes plain words of a port. */
export function setPort(id: string, part: Partial<Pick<PortFacts, 'name' | 'wall'>>): Told {
  if (part.name !== undefined && part.name.trim() === '') return told('An opening needs a name.')
  return editBench('an opening', (it) => {
    const port = it.housing.ports[id]
    return port === undefined ? it : setAt(it, `housing.ports.${id}`, { ...port, ...part })
  })
}

/** Puts a baffle before an opening; each further one stands behind the last, shifted the other way. */
export function addBaffle(portId: string): Told {
  const port = housingOf()?.ports[portId]
  if (port === undefined) return NO_BENCH
  const count = Object.keys(port.baffles).length
  const away = 40 * (count + 1)
  const baffle = templateOf(baffleShape, { order: nextOrder(port.baffles), away: stated(away, String(away)) })
  return editBench('a baffle', (it) => setAt(it, `housing.ports.${portId}.baffles.${newId()}`, baffle))
}

/** Shifts a baffle along its wall, mm. */
export function setBaffle(portId: string, id: string, part: { readonly right?: number; readonly up?: number }): Told {
  return editBench('a baffle shifted', (it) => {
    const baffle = it.housing.ports[portId]?.baffles[id]
    return baffle === undefined ? it : setAt(it, `housing.ports.${portId}.baffles.${id}`, { ...baffle, ...part })
  })
}

/** Fixes the springs where a list says. */
export function fixMount({ onLid, boxX, boxY }: Mount): Told {
  const at = (mm: number): Fact => stated(Math.round(mm), String(Math.round(mm)))
  return editBench('where the springs are fixed', (it) => ({
    ...it,
    housing: {
      ...it.housing,
      lid: { ...it.housing.lid, onLid: at(onLid), boxOut: at(boxX), boxDown: at(-boxY) },
    },
  }))
}

/** Lays the plates over openings, and the labels, on the work order as artwork. @returns What stands in the way. */
export async function insertsToWork(svg: string): Promise<Told> {
  return takeArtwork(new File([svg], 'inserts.svg', { type: 'image/svg+xml' }))
}
