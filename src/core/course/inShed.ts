import { shownNumber } from '../bench'
import { gapsOf } from '../air'
import { meterCircuit, type Bench } from '../document'
import { drawFans, drawWiring, feedsPast, hiddenVolts, inwardSpeed, INWARD_WANTED, tooHot, type WiredWrong } from '../workshop'
import { done, type Lessoned, type LessonWorked } from './score'

/** The head of the lesson's wiring, and what it is made for, V. */
export const LESSON_HEAD = 'head'
const MADE_FOR = 12

const WRONG: Readonly<Record<WiredWrong, string>> = {
  direct: 'Its lead began at the 24 V supply, not at the converter.',
  trim: 'The converter was set to 15 V.',
  thin: 'Its lead was of AWG 26.',
  bypass: 'Its lead went past the lid contact.',
  small: 'The converter gives 2 A, and more is asked of it.',
}

/** How the wiring is now, by sums of its own. @returns Null while a label is missing. */
function wiringNow({ number, bench, engine }: Pick<Lessoned, 'number' | 'bench' | 'engine'>) {
  const circuit = meterCircuit(engine)
  const { blocks, wires } = bench.electrical
  const head = blocks[LESSON_HEAD]
  if (circuit === null || head === undefined) return null
  const kinds = (...wanted: readonly string[]): string[] =>
    Object.entries(blocks).flatMap(([id, it]) => (wanted.includes(it.kind) ? [id] : []))
  const gauges = Object.fromEntries(Object.entries(wires).map(([id, it]) => [id, it.gauge.chosen ?? '']))
  const rated = Object.fromEntries(Object.entries(blocks).map(([id, it]) => [id, it.amps.value ?? Infinity]))
  const sources = kinds('motorSupply', 'supply')
  const past = [kinds('interlock'), kinds('stop')].filter((it) => feedsPast(circuit.wires, sources, LESSON_HEAD, it))
  return {
    volts: hiddenVolts(circuit, number).get(LESSON_HEAD) ?? 0,
    hot: tooHot(circuit, number, gauges, rated),
    past: past.length,
    bears: head.most.value ?? MADE_FOR * 1.05,
  }
}

/** What happens to the head when it is switched on now. @returns Why it cannot be. @throws never for a valid bench. */
export function switchOn(
  it: Pick<Lessoned, 'number' | 'bench' | 'engine'>,
): { readonly volts: number; readonly died: boolean } | string {
  const now = wiringNow(it)
  if (now === null) return 'Something on the drawing has no label yet, or the head is gone from it: complete the wiring first.'
  return { volts: now.volts, died: now.volts > now.bears }
}

/** How the head was wired, by what became of it. @throws never for a valid bench. */
export function workHead(it: Lessoned): LessonWorked {
  const ons = it.tries.flatMap((one) => (one.kind === 'on' ? [one] : []))
  const killed = ons.filter((one) => one.died).length
  const lives = ons.some((one) => !one.died)
  const now = wiringNow(it)
  return {
    aims: {
      alive: { off: ons.length === 0 ? null : killed, isDone: lives },
      volts: { off: now === null ? null : now.volts / MADE_FOR - 1, isDone: lives },
      hot: { off: now?.hot.length ?? null, isDone: lives },
      lid: { off: now?.past ?? null, isDone: lives },
    },
    truth: [
      ...drawWiring(it.number).map((one) => WRONG[one]),
      now === null ? '' : `${now.volts.toFixed(2)} V reach the head now; it is made for ${MADE_FOR} V.`,
    ].filter((line) => line !== ''),
  }
}

/** The fan in the way out of a bench: m³/s and Pa as they are entered. */
function fanIn(bench: Bench): { readonly freeFlow: number; readonly shutOff: number } | null {
  for (const way of Object.values(bench.air.ways))
    for (const { kind, freeFlow, shutOff } of Object.values(way.parts))
      if (kind === 'fan' && freeFlow.value !== null && shutOff.value !== null && freeFlow.origin !== 'assumed')
        return { freeFlow: freeFlow.value, shutOff: shutOff.value }
  return null
}

/** A label is the one on offer where both its numbers lie within so much. */
const SAME_LABEL = 0.03

/** Which fan was taken, by what it really draws. */
export function workFan({ number, bench, engine }: Lessoned): LessonWorked {
  const table = drawFans(number)
  const fan = fanIn(bench)
  const near = (p: number, q: number): boolean => Math.abs(p / q - 1) < SAME_LABEL
  const taken = table.offers.find((it) => fan !== null && near(fan.freeFlow, it.freeFlow) && near(fan.shutOff, it.shutOff))
  const enough = table.offers.filter((it) => inwardSpeed(table, it) >= INWARD_WANTED)
  const quietest = Math.min(...enough.map((it) => it.noise))
  const speed = taken === undefined ? null : inwardSpeed(table, taken)
  const found = shownNumber(engine.value(gapsOf).result)
  const real = table.air.gaps * 1e4
  return {
    aims: {
      gaps: { off: found === null ? null : found / real - 1, isDone: bench.air.gapsBy === 'readings' },
      draws: done(speed === null ? null : Math.max(0, 1 - speed / INWARD_WANTED)),
      quiet: done(taken === undefined || speed === null || speed < INWARD_WANTED ? null : Math.max(0, taken.noise - quietest)),
    },
    truth: [
      `Its gaps come to ${real.toFixed(1)} cm².`,
      ...table.offers.map((it) => `${it.name}: ${inwardSpeed(table, it).toFixed(2)} m/s at every opening.`),
    ],
  }
}
