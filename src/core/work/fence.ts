import type { Point } from '../artwork'
import type { Step } from '../gcode'
import type { Work } from './slice'

/** A place for a blank: how far it lies from the first, mm, and whether there is one this time. */
export interface Place extends Point {
  /** By which it is left out. */
  readonly id: string
  readonly isIn: boolean
}

/** What says where sheets lie. */
export type Laid = Pick<Work, 'placedBy' | 'sheetX' | 'sheetY' | 'fenceX' | 'fenceY'>
/** What says how many blanks lie side by side. */
export type Places = Pick<Work, 'placeColumns' | 'placeRows' | 'placeStepX' | 'placeStepY' | 'placesOut'>

/** Facts that say where the first sheet's lower left corner lies. Valid: any. Source: as entered. */
export function cornerFacts(placedBy: Work['placedBy']): { readonly x: 'sheetX' | 'fenceX'; readonly y: 'sheetY' | 'fenceY' } {
  return placedBy === 'fence' ? { x: 'fenceX', y: 'fenceY' } : { x: 'sheetX', y: 'sheetY' }
}

/** Lower left corner of the first sheet, mm from zero; what nobody entered counts as 0. Valid: any. Source: as entered. */
export function cornerOf(work: Laid): Point {
  const { x, y } = cornerFacts(work.placedBy)
  return { x: work[x].value ?? 0, y: work[y].value ?? 0 }
}

/** Places for blanks, row by row from the first. Valid: any. Source: by definition. */
export function placesOf({ placeColumns, placeRows, placeStepX, placeStepY, placesOut }: Places): readonly Place[] {
  return Array.from({ length: placeRows * placeColumns }, (_, k): Place => {
    const [column, row] = [k % placeColumns, Math.floor(k / placeColumns)]
    const id = `c${column}r${row}`
    return { id, x: column * placeStepX, y: row * placeStepY, isIn: placesOut[id] === undefined }
  })
}

/** Lower left corners of all sheets that are burnt, mm from zero. Valid: any. Source: by definition. */
export function sheetsOf(work: Laid & Places): readonly Point[] {
  const corner = cornerOf(work)
  return placesOf(work)
    .filter((it) => it.isIn)
    .map(({ x, y }) => ({ x: corner.x + x, y: corner.y + y }))
}

/** What lines of a fence or a template are burnt with: share of full power, mm/s. */
export interface Laying {
  readonly power: number
  readonly speed: number
}

/**
 * The two lines along which a fence is laid: from its corner along X and along Y. @param long mm along X. @param high mm along Y.
 * @returns Steps from the end of one over the corner to the end of the other. Valid: any place. Source: common practice.
 */
export function fenceSteps({ x, y }: Point, long: number, high: number, { power, speed }: Laying): readonly Step[] {
  return [
    { kind: 'remark', text: 'Lines of the fence: lay its inner edges along them' },
    { kind: 'rapid', x, y: y + high },
    { kind: 'line', x, y, feed: speed, power },
    { kind: 'line', x: x + long, y, feed: speed, power },
    { kind: 'rapid', x: 0, y: 0 },
  ]
}

/**
 * Outlines of blanks, one for each place. @param corners Lower left corners, mm. Valid: blanks with a size. Source: common practice.
 */
export function templateSteps(
  corners: readonly Point[],
  { width, height }: { readonly width: number; readonly height: number },
  { power, speed }: Laying,
): readonly Step[] {
  const outlines = corners.flatMap(({ x, y }, k): readonly Step[] => [
    { kind: 'remark', text: `Place ${k + 1}` },
    { kind: 'rapid', x, y },
    ...[
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
      [x, y],
    ].map(([toX, toY]): Step => ({ kind: 'line', x: toX as number, y: toY as number, feed: speed, power })),
  ])
  return [...outlines, { kind: 'rapid', x: 0, y: 0 }]
}
