import type { Moves, Step } from '../gcode'
import { AS_IT_IS, mendProgram } from './mending'

/** Where a program is put: mirrored first, then turned about its zero, then moved. Lengths in mm, the turn in degrees counter-clockwise. */
export interface Put {
  readonly x: number
  readonly y: number
  readonly turn: number
  /** Which way it is flipped: left and right, or bottom and top. */
  readonly mirror: 'no' | 'leftRight' | 'bottomTop'
}

/** A program among several, and where it is burnt. */
export interface Joint {
  readonly moves: Moves
  /** Its power word at full power; more than 0. */
  readonly fullS: number
  readonly puts: readonly Put[]
  /** What is to be done before it, at the machine; empty: it follows without a pause. */
  readonly pause: string
}

/** A place in its new position. Valid: any. Source: plane geometry; a quarter turn is exact. */
export function putPlace(x: number, y: number, put: Put): readonly [x: number, y: number] {
  const [mx, my] = [put.mirror === 'leftRight' ? -x : x, put.mirror === 'bottomTop' ? -y : y]
  const [cos, sin] = turnOf(put.turn)
  return [put.x + mx * cos - my * sin, put.y + mx * sin + my * cos]
}

function turnOf(degrees: number): readonly [cos: number, sin: number] {
  const quarter = degrees / 90
  if (Number.isInteger(quarter))
    return (
      [
        [1, 0],
        [0, 1],
        [-1, 0],
        [0, -1],
      ] as const
    )[((quarter % 4) + 4) % 4] as [number, number]
  return [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
}

/** A step in its new position. Valid: any step in the plane XY. Source: plane geometry; a mirror turns the sense of an arc. */
export function putStep(step: Step, put: Put): Step {
  if (!('x' in step)) return step
  const [x, y] = putPlace(step.x, step.y, put)
  if (step.kind !== 'arc') return { ...step, x, y }
  const [centreX, centreY] = putPlace(step.centreX, step.centreY, put)
  return { ...step, x, y, centreX, centreY, clockwise: (put.mirror === 'no') === step.clockwise }
}

/**
 * Several programs, one behind the other, each at its places: from one to the next the head goes dark.
 * @returns Steps, in sections: a new one begins where somebody has something to do first. @throws {RangeError} where a full power word is not more than 0.
 * Valid: programs of the plane XY; heights stay as they are. Source: by definition.
 */
export function joinPrograms(joints: readonly Joint[]): readonly Section[] {
  const sections: { before: string; steps: Step[] }[] = []
  for (const { moves, fullS, puts, pause } of joints) {
    const { steps } = mendProgram(moves, { ...AS_IT_IS, fullS })
    if (sections.length === 0 || pause !== '') sections.push({ before: pause, steps: [] })
    const section = sections.at(-1)
    for (const put of puts) {
      for (const step of fromItsStart(steps)) section?.steps.push(putStep(step, put))
    }
  }
  return sections.filter((it) => it.steps.length > 0)
}

/** Steps that are burnt without anything to do between them, and what is to be done before them. */
export interface Section {
  readonly before: string
  readonly steps: readonly Step[]
}

/** Steps that begin with a dark way to where the first is burnt: where the head comes from is another place each time. */
function fromItsStart(steps: readonly Step[]): readonly Step[] {
  const first = steps.findIndex((it) => 'power' in it && it.power > 0)
  if (first < 0) return steps
  const before = steps.slice(0, first)
  const { x, y } = before.findLast((it) => 'x' in it) ?? { x: 0, y: 0 }
  const height = before.findLast((it) => 'z' in it)
  const z = height !== undefined && 'z' in height ? { z: height.z } : {}
  return [{ kind: 'rapid', x, y, ...z }, ...before.filter((it) => !('x' in it)), ...steps.slice(first)]
}

/**
 * Places on a grid, row by row, each row the other way round so that the head goes no further than it must. @param columns 1 or more. @param rows 1 or more.
 * @throws {RangeError} where there is less than one of either, or more than 10,000 in all. Valid: any pitch. Source: by definition.
 */
export function gridOfPuts(
  columns: number,
  rows: number,
  pitch: { readonly x: number; readonly y: number },
  first: Put,
): readonly Put[] {
  if (!(columns >= 1 && rows >= 1 && columns * rows <= 10_000)) throw new RangeError('a grid has 1 to 10,000 places')
  return Array.from({ length: columns * rows }, (_, k) => {
    const row = Math.floor(k / columns)
    const along = k % columns
    const column = row % 2 === 0 ? along : columns - 1 - along
    return { ...first, x: first.x + column * pitch.x, y: first.y + row * pitch.y }
  })
}
