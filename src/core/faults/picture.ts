import { expectedOf, SEVERITIES } from './forward'
import type { Cause } from './causes'
import { SYMPTOM_SEEN, type Proof, type Symptom } from './observed'

/** A stroke of a small picture: places in mm of the pattern, its width in mm, how dark it is, 0…1. */
export interface Stroke {
  readonly points: readonly (readonly [x: number, y: number])[]
  readonly width: number
  readonly dark: number
  /** Brown beside the line rather than the line. */
  readonly isRim?: true
}

/** A cause that shows each symptom plainly. */
const SHOWN_BY: Readonly<Record<Symptom, Cause>> = {
  shifted: 'steps',
  slanted: 'square',
  open: 'play',
  doubled: 'delay',
  short: 'delay',
  swinging: 'belt',
  darkCorners: 'corners',
  pale: 'power',
  wide: 'focus',
  wedged: 'warp',
  patchy: 'supply',
  scorched: 'air',
  seamOpen: 'holder',
}

const SIDE = 20
const LINE = 0.5
const PLAIN = 0.9

/**
 * How a symptom would look on this machine: the pattern, its fault as large as it usually is there, drawn larger than life so that it can be told.
 * @param symptom What is shown. @param proof The pattern on this machine.
 * Valid: any pattern. Source: `expectedOf` with a severity in the middle of its range.
 */
export function symptomStrokes(symptom: Symptom, proof: Proof): readonly Stroke[] {
  const cause = SHOWN_BY[symptom]
  const [least, most] = SEVERITIES[cause]
  const expected = expectedOf(cause, Math.sqrt(least * most), { ...proof, turns: true })
  const size = expected[SYMPTOM_SEEN[symptom].reading]
  // A picture is some 20 mm wide: what is told in mm is drawn up to an eighth of that.
  const by = Math.min(SIDE / 8, Math.max(0.9, size * 2))
  const square = (dx = 0, dy = 0, lean = 0): readonly (readonly [number, number])[] => [
    [dx, dy],
    [SIDE + dx, dy],
    [SIDE + dx + lean, SIDE + dy],
    [dx + lean, SIDE + dy],
    [dx, dy],
  ]
  const line = (points: Stroke['points'], width = LINE, dark = PLAIN): Stroke => ({ points, width, dark })
  const rows = (of: (k: number) => readonly [from: number, to: number, width?: number, dark?: number]): readonly Stroke[] =>
    Array.from({ length: 6 }, (_, k) => {
      const [from, to, width, dark] = of(k)
      return line(
        [
          [from, 2 + k * 3.2],
          [to, 2 + k * 3.2],
        ],
        width,
        dark,
      )
    })
  switch (symptom) {
    case 'shifted':
      return [line(square()), line(square(by, 0)), line(square(2 * by, 0))]
    case 'slanted':
      return [line(square(0, 0, by))]
    case 'open':
      return [line([...square().slice(0, 4), [by, by]])]
    case 'doubled':
      return rows((k) => (k % 2 === 0 ? [0, SIDE] : [by, SIDE + by]))
    case 'short':
      // Beside the pencil marks between which they should lie.
      return [
        ...[0, SIDE].map((x) =>
          line(
            [
              [x, 0],
              [x, SIDE],
            ],
            LINE / 3,
            0.35,
          ),
        ),
        ...rows(() => [by, SIDE + by]),
      ]
    case 'swinging':
      return [line([[0, 0], [SIDE, 0], ...swing(SIDE, by), [0, SIDE], [0, 0]])]
    case 'darkCorners':
      return [
        line(square()),
        ...[0, SIDE].flatMap((x) =>
          [0, SIDE].map((y) =>
            line(
              [
                [x - 0.6, y],
                [x + 0.6, y],
              ],
              LINE * 2.6,
              1,
            ),
          ),
        ),
      ]
    case 'pale':
      return [line(square(), LINE * 0.7, PLAIN * Math.exp(-2 * size))]
    case 'wide':
      return [line(square(), LINE * Math.exp(2 * size), 0.5)]
    case 'wedged':
      return rows((k) => [0, SIDE, LINE * (1 + (k / 5) * 2.4), PLAIN - 0.1 * k])
    case 'patchy':
      return Array.from({ length: 10 }, (_, k) =>
        line(
          [
            [k * 2, 10],
            [k * 2 + 2, 10],
          ],
          LINE * (k % 4 < 2 ? 1.6 : 0.8),
          k % 4 < 2 ? PLAIN : 0.3,
        ),
      )
    case 'scorched':
      return [{ ...line(square(), LINE + 2 * by, 0.25), isRim: true }, line(square())]
    case 'seamOpen':
      return [
        line([
          [0, 6],
          [SIDE, 6],
        ]),
        line([
          [SIDE, 6 + by],
          [SIDE + 3, 6 + by],
        ]),
        line([
          [0, 14],
          [SIDE, 14],
        ]),
        line([
          [SIDE, 14 + by],
          [SIDE + 3, 14 + by],
        ]),
      ]
  }
}

/** A side that swings after its corner, dying away. */
function swing(side: number, by: number): readonly (readonly [number, number])[] {
  return Array.from({ length: 25 }, (_, k) => {
    const way = (k / 24) * side
    return [side + by * Math.exp(-way / 5) * Math.sin(way * 1.6), way] as const
  })
}
