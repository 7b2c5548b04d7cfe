import { shownNumber, type FigureDef } from '../../core/bench'
import {
  boxNeeds,
  deciding,
  enclosure,
  insideSize,
  sheetThickness,
  workPatches,
  type Enclosure,
  type Need,
  type Rect,
  type Way,
} from '../../core/housing'
import type { Bench } from '../../core/document'
import { engineOf } from '../../state'

/** What of a box is known, to be drawn. */
export interface SeenBox {
  /** Inside, mm. */
  readonly x: number
  readonly y: number
  readonly z: number
  /** Of its sheet; 0 while none is chosen. */
  readonly t: number
  readonly box: Enclosure | null
  readonly hasFloor: boolean
  /** Sizes that nobody has typed. */
  readonly worked: Readonly<Record<Way, boolean>>
  readonly decides: Readonly<Record<Way, Need | null>>
  readonly patches: readonly Rect[]
}

/** A box as far as it is known; null while no size of it is. */
export function seenBox(bench: Bench): SeenBox | null {
  const engine = engineOf(bench)
  const number = <A extends string[]>(def: FigureDef<Bench, A>, ...args: A): number | null => {
    const found = shownNumber(engine.value(def, ...args).result)
    return found === null || !Number.isFinite(found) ? null : found
  }
  const [x, y, z] = [number(insideSize, 'x'), number(insideSize, 'y'), number(insideSize, 'z')]
  if (x === null || y === null || z === null || Math.min(x, y, z) <= 0) return null
  const made = engine.value(enclosure).result
  const patches = engine.value(workPatches).result
  const decide = (way: Way): Need | null => {
    const needs = engine.value(boxNeeds, way).result
    return needs.known ? deciding(needs.value) : null
  }
  return {
    x,
    y,
    z,
    t: number(sheetThickness) ?? 0,
    box: made.known ? made.value : null,
    hasFloor: bench.housing.size.floor.chosen === 'yes',
    worked: {
      x: bench.housing.size.x.value === null,
      y: bench.housing.size.y.value === null,
      z: bench.housing.size.z.value === null,
    },
    decides: { x: decide('x'), y: decide('y'), z: decide('z') },
    patches: patches.known ? patches.value.filter((it) => [...it.low, ...it.high, it.at].every(Number.isFinite)) : [],
  }
}
