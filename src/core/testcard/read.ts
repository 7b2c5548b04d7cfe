import type { CardShape } from '../burn'
import { accepted, refused, type Finding, type Outcome } from '../units'
import { findMarks } from './findMarks'
import { layoutCard, MODULE, MODULES, QUIET, type CardLayout, type Spot } from './layout'
import { findPose, placeInPicture, type NoPose, type Pose } from './pose'
import { luminanceAt, luminanceOfPicture, type Luminance, type Picture } from './reduce'
import { cellTones, type CellTone } from './tones'

/** A card as a picture shows it. */
export interface CardRead {
  readonly cells: readonly CellTone[]
  readonly pose: Pose
  /** Pixels to a millimetre, where they are fewest. */
  readonly sharpness: number
}

/** Reads the text of a code from a square of grey bytes, four a pixel; null where there is none. */
export type CodeReader = (grey: Uint8ClampedArray, side: number) => string | null

/** Pixels of the reduced picture that a millimetre needs at least. */
const COARSEST = 3.5
/** Pixels of a module when the code is straightened. */
const MODULE_PIXELS = 8

const WORDS: Readonly<Record<NoPose, string>> = {
  none: 'No marks were found in the picture. Take it again from nearer, the whole card in it, sharp and evenly lit.',
  few: 'Not all seven marks of the card are in the picture. Take it again with the whole card in it, nothing lying on it, no glare on a corner.',
  unlike:
    'The marks in the picture do not lie as those of this card. Choose the card whose number is burnt on it, or take the picture again from more directly above.',
}

/**
 * Reads a card from a picture: its marks give the pose, the code says whose it is, the bare material takes the shade out.
 * @param bareTone L* of the bare material. @param readCode A general reader of such codes.
 * @returns Tones of all cells, or in words why there are none. @throws {RangeError} where the picture's bytes do not fit its size.
 * Valid: the whole card, tilted by up to 35°, turned any way. Source: handbook of computer vision as named in `homography.ts`, `pose.ts`.
 */
export function readTestCard(picture: Picture, card: CardShape, bareTone: number, readCode: CodeReader): Outcome<CardRead> {
  const layout = layoutCard(card)
  const small = luminanceOfPicture(picture)
  const pose = poseIn(small, layout)
  if (typeof pose === 'string') return refused(`marks-${pose}`, WORDS[pose])
  if (!isInside(pose, small, layout)) return refused('marks-few', WORDS.few)
  const sharpness = pixelsPerMm(pose, small, layout)
  if (sharpness < COARSEST) {
    const message = 'The card is too small in the picture for its cells to be read. Take it again from nearer.'
    return refused('too-small', message)
  }
  const said = readCode(straightCode(small, pose, layout), codeSide())
  const other = said !== null && said !== card.code
  if (other) {
    const message = `The picture shows card ${said.slice(0, 20)}, not ${card.code}. Choose that card, or another picture.`
    return refused('other-card', message)
  }
  const cells = cellTones(small, pose, layout, bareTone, card.does === 'cut')
  if (cells === null) {
    return refused(
      'no-margin',
      'The bare material between the cells cannot be seen: they run into one another, or the picture is too dark.',
    )
  }
  return accepted({ cells, pose, sharpness: sharpness * small.factor }, findingsOf(cells, pose, said))
}

/** Looks for the card's marks, harder each time, until they make sense. */
function poseIn(picture: Luminance, { marks }: CardLayout): Pose | NoPose {
  let said: Pose | NoPose = 'none'
  for (const found of findMarks(picture)) {
    said = findPose(marks, found, picture)
    if (typeof said !== 'string') break
  }
  return said
}

/** What to beware of in a card that was read. */
function findingsOf(cells: readonly CellTone[], pose: Pose, said: string | null): readonly Finding[] {
  const warn = (code: string, message: string): Finding => ({ code, severity: 'warning', message })
  const of = (flaw: CellTone['flaw']): string =>
    cells
      .filter((it) => it.flaw === flaw)
      .map((it) => it.id.replace('-', '/'))
      .join(', ')
  const [out, uneven] = [of('burnt out'), of('uneven')]
  return [
    ...(said === null
      ? [
          warn(
            'no-code',
            'The code could not be read; the card was known by its marks alone. Look whether its number is the right one.',
          ),
        ]
      : []),
    ...(pose.isMirrored ? [warn('mirrored', 'The picture is mirrored; it was turned back.')] : []),
    ...(out === ''
      ? []
      : [
          warn('burnt-out', `Burnt out or black in the picture, not read: cells ${out} (column/row). Take it with softer light.`),
        ]),
    ...(uneven === ''
      ? []
      : [warn('uneven', `Uneven in the picture: cells ${uneven} (column/row). Look whether something lies on them.`)]),
  ]
}

/** Whether all of the card is in the picture. */
function isInside(pose: Pose, frame: Luminance, layout: CardLayout): boolean {
  return layout.marks.every((it) => {
    const at = placeInPicture(pose, frame, it)
    return at.x >= 0 && at.y >= 0 && at.x < frame.width && at.y < frame.height
  })
}

/** Pixels to a millimetre along the card's edges, where they are fewest. */
function pixelsPerMm(pose: Pose, frame: Luminance, { marks }: CardLayout): number {
  const corners = marks.slice(0, 4)
  const ends = corners.map((it, i): [Spot, Spot] => [it, corners[(i + 1) % 4] as Spot])
  return Math.min(
    ...ends.map(([a, b]) => {
      const [p, q] = [placeInPicture(pose, frame, a), placeInPicture(pose, frame, b)]
      return Math.hypot(q.x - p.x, q.y - p.y) / Math.hypot(b.x - a.x, b.y - a.y)
    }),
  )
}

function codeSide(): number {
  return (MODULES + 2 * QUIET) * MODULE_PIXELS
}

/** The code as seen straight on, as grey bytes, four a pixel. */
function straightCode(picture: Luminance, pose: Pose, { code }: CardLayout): Uint8ClampedArray {
  const side = codeSide()
  const grey = new Uint8ClampedArray(side * side * 4)
  const values = new Float32Array(side * side)
  const [left, top] = [code.x - QUIET * MODULE, code.y + (MODULES + QUIET) * MODULE]
  for (let j = 0; j < side; j++) {
    for (let i = 0; i < side; i++) {
      const place = { x: left + ((i + 0.5) / MODULE_PIXELS) * MODULE, y: top - ((j + 0.5) / MODULE_PIXELS) * MODULE }
      const at = placeInPicture(pose, picture, place)
      values[j * side + i] = luminanceAt(picture, at.x, at.y)
    }
  }
  // As the eye has it, from the dark of the code to its white: noise at either end is cut off.
  const sorted = Float32Array.from(values).sort()
  const [low, high] = [0.05, 0.9].map((share) => sorted[Math.floor(share * (sorted.length - 1))] as number) as [number, number]
  values.forEach((value, k) => {
    const byte = high > low ? 255 * Math.min(1, Math.max(0, (value - low) / (high - low))) ** 0.5 : 255
    grey.fill(byte, 4 * k, 4 * k + 3)
    grey[4 * k + 3] = 255
  })
  return grey
}

/**
 * The card as seen straight on, four bytes a pixel, to lay under the values. @param pixels To a millimetre.
 * @returns The picture, rows from the top of the card. @throws {RangeError} where the picture's bytes do not fit its size.
 * Valid: a pose of that picture. Source: perspective and lens undone by looking up, the nearest pixel.
 */
export function straightCard(picture: Picture, pose: Pose, card: CardShape, pixels: number): Picture {
  const { width, height } = layoutCard(card)
  const [columns, rows] = [Math.round(width * pixels), Math.round(height * pixels)]
  const data = new Uint8ClampedArray(columns * rows * 4)
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const at = placeInPicture(pose, picture, { x: (i + 0.5) / pixels, y: height - (j + 0.5) / pixels })
      const [px, py] = [Math.floor(at.x), Math.floor(at.y)]
      const to = (j * columns + i) * 4
      const isThere = px >= 0 && py >= 0 && px < picture.width && py < picture.height
      const from = (py * picture.width + px) * 4
      for (let k = 0; k < 4; k++) data[to + k] = isThere ? (picture.data[from + k] as number) : 255
    }
  }
  return { width: columns, height: rows, data }
}
