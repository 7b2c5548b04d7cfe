import type { CircleReading } from './circleFit'
import { numberIn, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

/** Chords of a circle, a multiple of eight so that corners lie where it is read. */
const CHORDS = 144
const GAP = 8

interface CircleDef {
  readonly label: string
  readonly diameter: number
  readonly clockwise: boolean
  readonly angles: readonly number[]
  readonly insides: readonly number[]
}

/** The three circles and the directions in which each is read, in degrees from X. */
function circlesOf(shape: Pick<TrialShape, 'numbers'>): readonly CircleDef[] {
  const [large, small] = [numberIn(shape, 'large'), numberIn(shape, 'small')]
  return [
    { label: 'A', diameter: large, clockwise: false, angles: [0, 45, 90, 135], insides: [0, 90] },
    { label: 'B', diameter: large, clockwise: true, angles: [0, 45, 90, 135], insides: [] },
    { label: 'C', diameter: small, clockwise: false, angles: [0, 90], insides: [0, 90] },
  ]
}

/** What is read of a circle trial, in the order of its list. Source: by definition. @throws {RangeError} where it lacks a number. */
export function circleReadingsOf(
  shape: Pick<TrialShape, 'numbers'>,
): readonly (Omit<CircleReading, 'measured'> & { readonly id: string })[] {
  return circlesOf(shape).flatMap(({ label, diameter, clockwise, angles, insides }) => {
    const def = (degrees: number, inside: boolean) => ({
      id: `${label}-${degrees}${inside ? '-in' : ''}`,
      diameter,
      clockwise,
      angleRad: (degrees * Math.PI) / 180,
      inside,
    })
    return [...angles.map((it) => def(it, false)), ...insides.map((it) => def(it, true))]
  })
}

const DIRECTIONS: Readonly<Record<string, string>> = {
  0: 'along X',
  45: 'towards the far right',
  90: 'along Y',
  135: 'towards the far left',
}

function layout(shape: TrialShape): TrialLayout {
  const { origin, power, speed } = shape
  const out = new TrialWriter('Circles')
  let left = origin.x
  const firsts = circlesOf(shape).map(({ label, diameter, clockwise }) => {
    const radius = diameter / 2
    const [cx, cy] = [left + radius, origin.y + radius]
    left += diameter + GAP
    const at = (i: number): [number, number] => {
      const angle = -Math.PI / 2 + ((clockwise ? -1 : 1) * 2 * Math.PI * i) / CHORDS
      return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)]
    }
    out.remark(`Circle ${label}`)
    // In the dark along an eighth of the circle first, so that both axes hang behind as they will all the way round.
    out.approach(...at(-CHORDS / 8))
    for (let i = -CHORDS / 8 + 1; i <= 0; i++) out.dark(...at(i), speed)
    return out.burn(
      label,
      Array.from({ length: CHORDS + 1 }, (_, i) => at(i)),
      speed,
      power,
    )
  })
  const labels = circlesOf(shape).map((it) => it.label)
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: circleReadingsOf(shape).map(({ id, diameter, angleRad, inside }) => {
      const [label = '', degrees = ''] = id.split('-')
      const first = firsts[labels.indexOf(label)] ?? 0
      return {
        id,
        group: `Circle ${label}`,
        words: `${DIRECTIONS[degrees] ?? ''}, ${inside ? 'inner edges' : 'over the outside'}`,
        span: { outline: [first, first + CHORDS - 1], angleRad, inside } as const,
        commanded: diameter,
      }
    }),
    picks: [],
  }
}

/** Two large circles, one each way round, and a small one: scale, squareness, play and line width from calipers alone. */
export const circleTrial: TrialKind = {
  id: 'circle',
  part: 'shape',
  name: 'Circles',
  facts: { large: 'calibrate.circleLarge', small: 'calibrate.circleSmall' },
  layout,
}
