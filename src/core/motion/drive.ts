import { requireInRange, requireInteger } from '../units'

export interface BeltDrive {
  /** Distance between belt teeth, mm; 0.5…10. */
  readonly beltPitchMm: number
  /** Teeth on the pulley that pulls the belt; whole, 6…200. */
  readonly pulleyTeeth: number
}

export interface ScrewDrive {
  /** Distance between neighbouring crests, mm; 0.2…20. */
  readonly screwPitchMm: number
  /** Starts; whole, 1…12. */
  readonly screwStarts: number
}

export interface Steps {
  /** Full steps a motor turn; whole, 4…1000 (a 1.8° motor has 200). */
  readonly fullSteps: number
  /** Microsteps a full step; whole, 1…256. */
  readonly microsteps: number
  /** Motor turns for one turn of the pulley or screw; 0.01…100. */
  readonly reduction: number
  /** Travel for one turn of the pulley or screw, mm; 0.1…2000. */
  readonly travelPerTurnMm: number
}

/**
 * Travel of a belt for one turn of its pulley: p·z.
 * @returns mm.
 * @throws {RangeError} naming the field, its value and the accepted range.
 * Valid: nominal geometry; belt stretch is not modelled, a measured travel corrects it.
 * Source: by definition of the pitch line.
 * @example beltTravelPerTurn({ beltPitchMm: 2, pulleyTeeth: 20 }) // 40
 */
export function beltTravelPerTurn({ beltPitchMm, pulleyTeeth }: BeltDrive): number {
  requireInRange('beltPitchMm', beltPitchMm, 0.5, 10, 'mm')
  requireInteger('pulleyTeeth', pulleyTeeth, 6, 200)
  return beltPitchMm * pulleyTeeth
}

/**
 * Travel of a nut for one turn of its screw, the lead: pitch × starts.
 * @returns mm.
 * @throws {RangeError} naming the field, its value and the accepted range.
 * Valid: nominal geometry. Source: ISO 5408 (lead = pitch × starts).
 * @example screwLead({ screwPitchMm: 2, screwStarts: 2 }) // 4
 */
export function screwLead({ screwPitchMm, screwStarts }: ScrewDrive): number {
  requireInRange('screwPitchMm', screwPitchMm, 0.2, 20, 'mm')
  requireInteger('screwStarts', screwStarts, 1, 12)
  return screwPitchMm * screwStarts
}

/**
 * Travel of a rack for one turn of its pinion: π·m·z.
 * @param moduleMm m, mm; 0.2…10. @param pinionTeeth z; whole, 6…200.
 * @returns mm.
 * @throws {RangeError} naming the field, its value and the accepted range.
 * Valid: straight teeth. Source: ISO 54 (pitch = π·module).
 * @example rackTravelPerTurn(1, 15) // 47.124
 */
export function rackTravelPerTurn(moduleMm: number, pinionTeeth: number): number {
  requireInRange('moduleMm', moduleMm, 0.2, 10, 'mm')
  requireInteger('pinionTeeth', pinionTeeth, 6, 200)
  return Math.PI * moduleMm * pinionTeeth
}

/**
 * Microsteps that move the axis by one millimetre: N·m·i / L.
 * @param steps N = fullSteps, m = microsteps, i = reduction, L = travelPerTurnMm.
 * @returns Steps per millimetre, not rounded.
 * @throws {RangeError} naming the field, its value and the accepted range.
 * Valid: nominal geometry, no lost steps. Source: by definition; one turn moves L and takes N·m·i microsteps.
 * @example stepsPerMm({ fullSteps: 200, microsteps: 16, reduction: 1, travelPerTurnMm: 40 }) // 80
 */
export function stepsPerMm({ fullSteps: N, microsteps: m, reduction: i, travelPerTurnMm: L }: Steps): number {
  requireInteger('fullSteps', N, 4, 1000)
  requireInteger('microsteps', m, 1, 256)
  requireInRange('reduction', i, 0.01, 100)
  requireInRange('travelPerTurnMm', L, 0.1, 2000, 'mm')
  return (N * m * i) / L
}

/**
 * Pitch radius of a toothed pulley, on which the belt's cord runs: p·z / 2π.
 * @returns mm.
 * @throws {RangeError} naming the field, its value and the accepted range.
 * Valid: as `beltTravelPerTurn`. Source: by definition of the pitch circle.
 * @example pitchRadius({ beltPitchMm: 2, pulleyTeeth: 20 }) // 6.366
 */
export function pitchRadius(drive: BeltDrive): number {
  return beltTravelPerTurn(drive) / (2 * Math.PI)
}

/**
 * How far a pulley or screw has turned when its axis stands at a position.
 * @param positionMm From the origin; any. @param travelPerTurnMm More than 0.
 * @returns rad, counted on over full turns.
 * @throws {RangeError} where the travel for a turn is not more than 0.
 * Valid: no slip. Source: by definition.
 * @example turnAt(10, 40) // Math.PI / 2
 */
export function turnAt(positionMm: number, travelPerTurnMm: number): number {
  requireInRange('travelPerTurnMm', travelPerTurnMm, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  return (2 * Math.PI * positionMm) / travelPerTurnMm
}
