import { layoutOf, sheetWords, TRIALS, type TrialKindId, type TrialShape } from '../src/core/calibrate'
import { PLAIN_CARD, writeProgram } from '../src/core/gcode'
import { drawHidden, type Hidden } from '../src/core/workshop'
import { HandMachine, HERON_SPEC } from './handMachine'

/** What the trials of a test are laid out with, as the template has it. */
const NUMBERS: Readonly<Record<TrialKindId, Readonly<Record<string, number>>>> = {
  delay: { slowest: 10, fastest: 60, acceleration: 500 },
  outline: { small: 20, large: 80 },
  circle: { large: 80, small: 20 },
  rectangle: { width: 110, depth: 80 },
  alternate: { fastest: 60, acceleration: 500 },
  moves: { field: 100, acceleration: 500 },
  bands: { fastest: 200, acceleration: 500, frequency: 1000 },
  focus: { lift: 12, run: 150 },
  pointer: {},
  kerf: { piece: 10, cutSpeed: 4, cutPower: 1 },
  wedge: { slowest: 2, fastest: 100, drop: 20, acceleration: 500 },
}

export function trialShape(kind: TrialKindId, more: Readonly<Record<string, number>> = {}): TrialShape {
  return { origin: { x: 12, y: 12 }, power: 0.5, speed: 20, numbers: { ...NUMBERS[kind], ...more } }
}

/** A machine with some of what is hidden in it chosen by the test. */
export function machineWith(number: number, more: Partial<Hidden> = {}): HandMachine {
  return new HandMachine(number, 0, HERON_SPEC, { ...drawHidden(number, HERON_SPEC), ...more })
}

/** Burns a trial and reads all of it. */
export function burnTrial(
  machine: HandMachine,
  kind: TrialKindId,
  shape: TrialShape = trialShape(kind),
): Readonly<Record<string, number>> {
  const { steps, readings } = layoutOf(kind, shape)
  const written = writeProgram(steps, PLAIN_CARD)
  if (!written.ok) throw new Error('the trial cannot be written')
  const lies = TRIALS[kind].lies?.(shape)
  machine.ask(lies === undefined ? 'sheet' : sheetWords(lies))
  const end = machine.run(written.value)
  if (end?.kind !== 'ended') throw new Error(JSON.stringify(end))
  return Object.fromEntries(readings.map((it) => [it.id, machine.read(it.span)]))
}
