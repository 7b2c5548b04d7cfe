import { readProgram, writeProgram, type OutputCard } from '../gcode'
import { AS_IT_IS, mendProgram } from '../refit'
import { atStations, readStations, type Indexed } from '../rotary'
import { refused, type Outcome } from '../units'
import type { Bench } from './bench'
import { cardOf } from './settings'

/** What a program for stations is made by. */
export interface StationAsk {
  readonly card: OutputCard
  readonly chosen: readonly number[]
  readonly plate: Indexed
}

/** The stations that are chosen on a bench, and how it goes from one to the next. @returns It, or what stands in the way in words. @throws never for a valid bench. */
export function stationAsk(bench: Bench): Outcome<StationAsk> {
  const { plate, onStations, letter } = bench.rotary
  const [stations, turnSteps] = [plate.stations.value, plate.steps.value]
  if (stations === null || turnSteps === null)
    return refused('no-stations', 'Say how many stations the plate has, and how many steps a turn of it takes.', {
      path: stations === null ? 'rotary.plate.stations' : 'rotary.plate.steps',
    })
  const card = cardOf(bench)
  if (card === null)
    return refused('no-full-power', 'The full power word is not known: enter it on Power.', { path: 'electrical.fullPower' })
  const chosen = readStations(onStations, stations)
  if (!chosen.ok) return refused('stations', chosen.why)
  const turned =
    plate.turned.chosen === 'axis'
      ? ({ by: 'axis', letter, settle: plate.settle.value ?? 0 } as const)
      : ({ by: 'hand' } as const)
  return { ok: true, value: { card, chosen: chosen.stations, plate: { stations, turnSteps, turned } }, findings: [] }
}

/** One piece's program at its stations. @param text The program of one piece. @returns The text, or why it cannot be written. @throws never for stations that the plate has. */
export function writeStations(text: string, { card, chosen, plate }: StationAsk): Outcome<string> {
  const { steps } = mendProgram(readProgram(text).moves, { ...AS_IT_IS, fullS: card.fullPower })
  return writeProgram(atStations([...steps], chosen, plate), card)
}
