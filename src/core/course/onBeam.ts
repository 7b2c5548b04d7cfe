import { shownNumber } from '../bench'
import { gapAtFocus, waist } from '../calibrate'
import { tonePatches, toneSetting } from '../testcard'
import { drawTone, lightShare, slownessOf, toneOf } from '../workshop'
import { machineOfLesson } from './onMachine'
import { done, type Lessoned, type LessonWorked } from './score'

/** Gap and spot at focus, by the truth of the beam. */
export function workFocus({ lesson, number, spec, bench, engine }: Lessoned): LessonWorked {
  const { beam } = machineOfLesson(lesson, number, spec).hidden
  const isFollowed = bench.calibrate.focusBy !== ''
  const gap = shownNumber(engine.value(gapAtFocus).result)
  const widest = (['x', 'y'] as const).map((side) => {
    const radius = shownNumber(engine.value(waist, side).result)
    return radius === null ? null : Math.abs(radius / beam[side].waist - 1)
  })
  const spot = widest.some((it) => it === null) ? null : Math.max(...(widest as number[]))
  return {
    aims: {
      gap: isFollowed ? done(gap === null ? null : gap - beam.gap) : done(null),
      spot: isFollowed ? done(spot) : done(null),
    },
    truth: [
      `It is in focus at a gap of ${beam.gap.toFixed(2)} mm; it hung at ${beam.head.toFixed(2)} mm.`,
      `Its spot there is ${(2 * beam.x.waist).toFixed(3)} mm by ${(2 * beam.y.waist).toFixed(3)} mm.`,
    ],
  }
}

/** The tone that is asked for, L*. */
const WANTED = 50
/** Cells that a law wants. */
const CELLS = 6

/** The setting for a tone of 50 L*, by what the hidden sheet comes to with it. */
export function workCard({ number, spec, bench, engine }: Lessoned): LessonWorked {
  const hidden = drawTone(number)
  const { pitch, passes } = bench.burns.card
  const read = Object.keys(bench.burns.materials).map((id) => {
    const patches = engine.value(tonePatches, id).result
    const setting = engine.value(toneSetting, id).result
    return { cells: patches.known ? patches.value.length : 0, setting: setting.known ? setting.value : null }
  })
  const most = [...read].sort((p, q) => q.cells - p.cells)[0] ?? { cells: 0, setting: null }
  const { setting } = most
  const isAsked = setting !== null && Math.abs(setting.tone - WANTED) < 0.5
  const comesTo = (power: number, speed: number): number => {
    const dose = (spec.power * lightShare(power, number) * passes) / (speed * pitch)
    return toneOf(hidden, dose * slownessOf(hidden, speed))
  }
  const tone = isAsked ? comesTo(setting.power, setting.speed) : null
  return {
    aims: {
      tone: done(tone === null ? null : tone - WANTED),
      cells: done(most.cells === 0 ? null : Math.max(0, CELLS - most.cells)),
    },
    truth: [
      `Bare it has ${hidden.bare.toFixed(0)} L*, and never falls below ${hidden.char.toFixed(0)} L*.`,
      tone === null || setting === null
        ? 'No setting for 50 L* was found.'
        : `${(setting.power * 100).toFixed(1)} % at ${setting.speed.toFixed(0)} mm/s comes to ${tone.toFixed(1)} L*.`,
    ],
  }
}
