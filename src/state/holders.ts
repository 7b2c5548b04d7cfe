import { setAt, shownNumber, templateOf, type Fact } from '../core/bench'
import { holderSvg, type Bench, type HolderSheet } from '../core/document'
import { asCut, holderShape, wantedCup, wantedDisc, type HolderFacts, type HolderKind } from '../core/rotary'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { nextOrder } from './rotary'
import { NO_BENCH, told, type Told } from './told'
import { takeArtwork } from './work'

/** A size that follows from the object in hand, as a wish: a tenth of a millimetre is as fine as sheet is cut. */
function sizeFor(bench: Bench, kind: HolderKind): Fact | null {
  const figure = kind === 'cup' ? wantedCup : wantedDisc
  const value = shownNumber(engineOf(bench).value(figure, bench.rotary.inHand).result)
  if (value === null || (kind !== 'cup' && kind !== 'centring')) return null
  const size = asCut(value, kind)
  return { value: size, typed: String(size), typedUnit: 'mm', origin: 'stated', doubt: { kind: 'exact' } }
}

/** Names of parts as they are first called. */
const NAMES: Readonly<Record<HolderKind, string>> = {
  centring: 'Centring disc',
  stepped: 'Stepped discs',
  cup: 'Ring cup',
  backing: 'Backing disc',
  friction: 'Friction disc',
  hub: 'Hub disc',
  rollerEnd: 'Roller end',
  driveRing: 'Drive ring',
}

/** Adds a part to the shelf, wanted, its size by the object in hand where that says it. @returns What stands in the way. */
export function addHolder(kind: HolderKind): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const id = newId()
  const { holders, make } = bench.rotary
  const order = nextOrder(holders)
  const size = sizeFor(bench, kind)
  const name = `${NAMES[kind]}${size === null ? '' : ` Ø${size.typed}`}`
  const inner =
    make.spindle.value === null ? {} : { inner: { ...make.spindle, origin: 'stated', doubt: { kind: 'exact' } } as const }
  const holder = templateOf(holderShape, { order, kind, name, ...inner, ...(size === null ? {} : { outer: size }) })
  return editBench('a part for the shelf', (it) => setAt(it, `rotary.holders.${id}`, holder))
}

/** Changes plain values of a part. */
export function setHolder(id: string, part: Partial<HolderFacts>): Told {
  return editBench('a part of the shelf', (it) => {
    const holder = it.rotary.holders[id]
    return holder === undefined ? it : setAt(it, `rotary.holders.${id}`, { ...holder, ...part })
  })
}

/** Says that a part was made today, or that it is wanted again. What it was to measure is then stated, until it is measured. */
export function setMade(id: string, isMade: boolean): Told {
  return setHolder(id, { made: isMade ? new Date().toISOString().slice(0, 10) : '' })
}

/** Takes a part off the shelf; what sat on it sits on nothing. */
export function removeHolder(id: string): Told {
  return editBench('a part taken off the shelf', (it) => {
    const without = setAt(it, `rotary.holders.${id}`, undefined)
    return it.rotary.seat === id ? setAt(without, 'rotary.seat', '') : without
  })
}

/** Says on which part the object in hand sits. */
export function sitOn(id: string): Told {
  return editBench('what the object sits on', (it) => setAt(it, 'rotary.seat', id))
}

/** Lays a sheet of parts on the work order, as artwork. @returns What stands in the way. */
export async function holdersToWork(sheet: HolderSheet, name: string): Promise<Told> {
  if (sheet.parts.length === 0) return told('There is nothing to cut.')
  return takeArtwork(new File([holderSvg(sheet)], `${name}.svg`, { type: 'image/svg+xml' }))
}
