import { readProgram, writeProgram } from '../gcode'
import { AS_IT_IS, mendProgram } from '../refit'
import { atStations, readStations } from '../rotary'
import { refused, type Outcome } from '../units'
import type { Bench } from './bench'
import { cardOf } from './settings'

/** A program for stations of the plate. */
export interface StationRun {
  readonly text: string
  /** What it does, in a sentence. */
  readonly words: string
}

/** One piece's program at the stations that are chosen on a bench. @param text The program of one piece. @returns It, or what stands in the way in words. @throws never for a program that was read. */
export function stationRun(bench: Bench, text: string): Outcome<StationRun> {
  const { plate, onStations, letter } = bench.rotary
  const [stations, turnSteps] = [plate.stations.value ?? 1, plate.steps.value ?? 360]
  const card = cardOf(bench)
  if (card === null) return refused('no-full-power', 'The full power word is not known: enter it on Power.')
  const chosen = readStations(onStations, stations)
  if (!chosen.ok) return refused('stations', chosen.why)
  const { steps } = mendProgram(readProgram(text).moves, { ...AS_IT_IS, fullS: card.fullPower })
  const turned =
    plate.turned.chosen === 'axis'
      ? ({ by: 'axis', letter, settle: plate.settle.value ?? 1 } as const)
      : ({ by: 'hand' } as const)
  const written = writeProgram(atStations([...steps], chosen.stations, { stations, turnSteps, turned }), card)
  if (!written.ok) return written
  const count = chosen.stations.length
  const words =
    count === stations
      ? `All ${stations} stations, one after the other.`
      : `${count} of ${stations} ${count === 1 ? 'station' : 'stations'}: ${chosen.stations.join(', ')}.`
  return { ok: true, value: { text: written.value, words }, findings: written.findings }
}
