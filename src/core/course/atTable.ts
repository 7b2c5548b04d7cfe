import { shownNumber } from '../bench'
import { diameterOfWork, nominalTurn, turnSteps } from '../rotary'
import { drawGlasses, drawMug, drawRotary, type LyingMug } from '../workshop'
import { done, type Lessoned, type LessonWorked } from './score'

const plain = (label: string): string => label.toUpperCase().replace(/[^A-Z0-9.]/g, '')

/** Which pair is worn, by what is printed on it. */
export function workEyewear({ number, bench }: Lessoned): LessonWorked {
  const table = drawGlasses(number)
  const { worn: id, glasses } = bench.safety
  const isWorn = glasses[id] !== undefined
  const worn = table.pairs.filter((it) => it.id === id || (isWorn && plain(it.label) === plain(glasses[id]?.label ?? '')))
  const holding = worn.find((it) => it.holds)
  const clearest = Math.max(...table.pairs.filter((it) => it.holds).map((it) => it.light))
  const copied = new Set(Object.values(glasses).map((it) => plain(it.label)))
  const missing = table.pairs.filter((it) => !copied.has(plain(it.label))).length
  return {
    aims: {
      holds: done(isWorn ? (holding === undefined ? 1 : 0) : null),
      clear: done(holding === undefined ? null : clearest - holding.light),
      labels: done(missing === table.pairs.length ? null : missing),
    },
    truth: table.pairs.map((it) => `${it.name}: ${it.why}`),
  }
}

/** Diameter at a place of a mug, straight between what was measured, mm. */
function diameterAt({ sections }: LyingMug, at: number): number {
  const behind = Math.max(
    1,
    sections.findIndex((it) => it.at >= at),
  )
  const [p, q] = [sections[behind - 1], sections[behind]]
  if (p === undefined || q === undefined) return Number.NaN
  return p.diameter + ((q.diameter - p.diameter) * (at - p.at)) / (q.at - p.at)
}

/** How the mug is measured, held and turned, by what it and the rotary really are. */
export function workMug({ number, bench, engine }: Lessoned): LessonWorked {
  const { truth, work, discs } = drawMug(number)
  const { inHand, seat, turnBy } = bench.rotary
  const middle = (work.from + work.to) / 2
  const real = diameterAt(truth, middle)
  const diameter = shownNumber(engine.value(diameterOfWork, inHand).result)
  const nominal = shownNumber(engine.value(nominalTurn, inHand).result)
  const steps = shownNumber(engine.value(turnSteps, inHand).result)
  const taken = nominal === null ? null : nominal * (1 + drawRotary(number).finer)
  const fits = discs.find((it) => it.fits)
  return {
    aims: {
      diameter: done(diameter === null ? null : diameter - real),
      seat: done(seat === '' ? null : seat === fits?.id ? 0 : 1),
      turn: done(turnBy === '' || steps === null || taken === null ? null : steps / taken - 1),
    },
    truth: [
      `Under the middle of the work it has ${real.toFixed(2)} mm.`,
      `Its bore has ${truth.bore.toFixed(2)} mm: the disc of ${fits?.outer.toFixed(2)} mm fits.`,
      taken === null || steps === null ? '' : `A turn takes ${taken.toFixed(1)} steps; ${steps.toFixed(1)} are in force.`,
    ].filter((it) => it !== ''),
  }
}
