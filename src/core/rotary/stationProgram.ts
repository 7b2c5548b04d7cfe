import type { RotaryLetter, Step } from '../gcode'
import { requireInteger } from '../units'
import { stationStep } from './indexing'

/** How a plate goes round between two pieces. */
export interface Indexed {
  readonly stations: number
  /** Steps for a turn; each station is rounded for itself. */
  readonly turnSteps: number
  /** An axis of its own, or a hand. */
  readonly turned: { readonly by: 'axis'; readonly letter: RotaryLetter; readonly settle: number } | { readonly by: 'hand' }
}

/**
 * The angle of a station from station 1, rad: a whole number of steps, rounded for itself. @param index From 0. @param plate Stations and steps for a turn.
 * @throws {RangeError} where a count is no whole number. Valid: any station, over turns too. Source: θ_k = k·N/n, rounded (handbook of the trade).
 * @example stationAngleOf(5, { stations: 20, turnSteps: 3200 }) // 1.571
 */
export function stationAngleOf(index: number, { stations, turnSteps }: Pick<Indexed, 'stations' | 'turnSteps'>): number {
  return (2 * Math.PI * stationStep(index, stations, turnSteps)) / turnSteps
}

/**
 * One piece's program at every station that is burnt: burn, dark, turn, rest, burn. @param piece Steps of one piece, the same at each. @param chosen Stations from 1, in their order. @param plate How it goes round.
 * @throws {RangeError} for a station that the plate has not. Valid: a piece that begins with a dark way. Source: absolute angles from station 1, so that nothing adds up (handbook of the trade).
 */
export function atStations(piece: readonly Step[], chosen: readonly number[], plate: Indexed): readonly Step[] {
  return chosen.flatMap((station, k): readonly Step[] => {
    requireInteger('station', station, 1, plate.stations)
    return [...turnTo(station, k === 0, chosen.length === 1, plate), ...piece]
  })
}

function turnTo(station: number, isFirst: boolean, isOnly: boolean, plate: Indexed): readonly Step[] {
  const to = stationAngleOf(station - 1, plate)
  const text = `Station ${station} of ${plate.stations}`
  if (plate.turned.by === 'hand') {
    const degrees = Number(((to * 180) / Math.PI).toFixed(3))
    // One alone is turned to and locked before it is begun.
    return isOnly || (isFirst && station === 1)
      ? [{ kind: 'remark', text }]
      : [{ kind: 'pause', text: `Turn to station ${station}, ${degrees} degrees from station 1, and lock it` }]
  }
  const { letter, settle } = plate.turned
  return [
    { kind: 'remark', text },
    { kind: 'turn', letter, to },
    { kind: 'wait', seconds: settle },
  ]
}

/** What is wrong with a list of stations, or the stations. */
export type ChosenStations =
  { readonly ok: true; readonly stations: readonly number[] } | { readonly ok: false; readonly why: string }

/** Stations as typed: “1-5, 9”; nothing: all. @param stations How many the plate has. Valid: any text. Source: by definition. */
export function readStations(typed: string, stations: number): ChosenStations {
  const words = typed
    .replace(/–/g, '-')
    .split(/[,;\s]+/)
    .filter((it) => it !== '')
  if (words.length === 0) return { ok: true, stations: Array.from({ length: stations }, (_, k) => k + 1) }
  const found = new Set<number>()
  for (const word of words) {
    const range = /^(\d{1,4})(?:-(\d{1,4}))?$/.exec(word)
    if (range === null) return { ok: false, why: `“${word}” is no station: type 1-5, 9.` }
    const [from, to] = [Number(range[1]), Number(range[2] ?? range[1])]
    if (from < 1 || to > stations || from > to) return { ok: false, why: `“${word}”: the plate has stations 1 to ${stations}.` }
    for (let k = from; k <= to; k++) found.add(k)
  }
  return { ok: true, stations: [...found].sort((p, q) => p - q) }
}
