import { readSaid, type Said } from '../src/core/controller'
import {
  createStandIn,
  readBoard,
  readCalipers,
  seeded,
  type Hidden,
  type Reading,
  type StandIn,
  type StandInSpec,
} from '../src/core/workshop'

/** The spec of the demo bench's machine. */
export const HERON_SPEC: StandInSpec = { nominalSteps: { x: 80, y: 80 }, travel: { x: 430, y: 310 }, power: 5.5 }

/** A hidden machine in a test's own hands: asked line by line, run to its end, read with its calipers. */
export class HandMachine {
  readonly said: Said[] = []
  readonly machine: StandIn
  private next = 1
  private readonly random: () => number

  /** @param caliperScale In place of the hidden one, where a test wants calipers of another kind. */
  constructor(
    number: number,
    private readonly caliperScale: number | null = null,
    spec: StandInSpec = HERON_SPEC,
    hidden: Hidden | null = null,
  ) {
    const say = (line: string): number => this.said.push(readSaid(line))
    this.machine = createStandIn({ spec, number, say, ...(hidden === null ? {} : { hidden }) })
    this.random = seeded(number * 7 + 1)
  }

  ask(words: string): Said | undefined {
    this.machine.receive(`${this.next++} ${words}`)
    return this.said.at(-1)
  }

  /** Loads a program, runs it to its end, and gives back what was said last. */
  run(program: string): Said | undefined {
    for (const line of program.split('\n')) this.ask(`load ${line}`)
    this.ask('run')
    this.machine.advance(Infinity)
    return this.said.at(-1)
  }

  read(reading: Reading): number {
    const { machine } = this
    const { calipers } = machine.hidden
    const hidden = { ...calipers, scale: this.caliperScale ?? calipers.scale }
    const jaws = { max: 150, resolution: 0.01 }
    const out =
      'board' in reading
        ? readBoard(machine.board(reading.board), jaws, hidden, this.random)
        : readCalipers(machine.marks, reading, jaws, hidden, this.random)
    if (!out.ok) throw new Error(out.why)
    return out.value
  }

  /** Millimetres really moved for one commanded, less one. */
  sizeError(axis: 'x' | 'y'): number {
    return Number(this.machine.settings[`${axis}/steps`]) * this.machine.hidden.mmPerStep[axis] - 1
  }
}
