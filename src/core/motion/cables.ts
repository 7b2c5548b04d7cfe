import { requireInRange } from '../units'

/** Where cables run; mm from the origin of the head's travel. */
export interface CableRun {
  readonly travelX: number
  readonly travelY: number
  readonly controllerX: number
  readonly controllerY: number
  /** Way that goes neither along X nor along Y. */
  readonly up: number
  /** Share by which they are longer. */
  readonly spare: number
}

/**
 * Length of a cable from the head to the controller that reaches in every position of the head: along the bars to the
 * farthest corner, with what goes up and down, and some to spare.
 * @param run mm; travels more than 0. @returns mm. @throws {RangeError} where a travel is not more than 0.
 * Valid: cables that follow the bars, in chains or bound to them. Source: by definition; distance along the axes.
 * @example cableLength({ travelX: 400, travelY: 300, controllerX: -50, controllerY: 0, up: 200, spare: 0.1 }) // 1045
 */
export function cableLength({ travelX, travelY, controllerX, controllerY, up, spare }: CableRun): number {
  return (farthest(travelX, controllerX) + farthest(travelY, controllerY) + up) * (1 + spare)
}

/** A corner of the travel, and the way from there to the controller along the bars, mm. */
export interface CornerWay {
  readonly x: number
  readonly y: number
  readonly way: number
}

/**
 * The ways from the corners of the travel to the controller, along the bars; the longest first.
 * @param at Travels and controller, mm. @returns Four corners, with mm.
 * @throws {RangeError} never. Valid: as `cableLength`. Source: distance along the axes.
 * @example cornerWays({ travelX: 400, travelY: 300, controllerX: -50, controllerY: 0 })[0].way // 750
 */
export function cornerWays(at: Pick<CableRun, 'travelX' | 'travelY' | 'controllerX' | 'controllerY'>): readonly CornerWay[] {
  const corners = [0, at.travelX].flatMap((x) => [0, at.travelY].map((y) => ({ x, y })))
  return corners
    .map(({ x, y }) => ({ x, y, way: Math.abs(x - at.controllerX) + Math.abs(y - at.controllerY) }))
    .sort((p, q) => q.way - p.way)
}

/** To the farther end of a travel. */
function farthest(travel: number, at: number): number {
  requireInRange('travel', travel, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  return Math.max(Math.abs(at), Math.abs(travel - at))
}

/**
 * How far from the middle of the travel, along the bars, a controller may stand for cables of a length.
 * @returns mm; below 0 where they are too short anywhere.
 * @throws {RangeError} never. Valid: as `cableLength`. Source: the same, solved for the way from the middle.
 * @example controllerReach(1045, { travelX: 400, travelY: 300, up: 200, spare: 0.1 }) // 400
 */
export function controllerReach(
  length: number,
  { travelX, travelY, up, spare }: Omit<CableRun, 'controllerX' | 'controllerY'>,
): number {
  return length / (1 + spare) - up - (travelX + travelY) / 2
}
