import { accepted, refused, type Finding, type Outcome } from '../units'
import { windowFrame, type Joint, type WindowFrame } from './panels'

/** How a box opens: a lid on top, a door in front, or a lid along a slanted front. */
export type LidForm = 'top' | 'front' | 'angled'

/** A box with its lid, as it is asked for. Lengths in mm: x across the front, y from front to back, z upwards. */
export interface EnclosureAsked {
  readonly inside: { readonly x: number; readonly y: number; readonly z: number }
  readonly thickness: number
  readonly joint: Joint
  readonly hasFloor: boolean
  readonly form: LidForm
  /** Of a slanted front: its upright part, and the level part of the roof, both over the outside. */
  readonly frontHeight: number
  readonly roofDepth: number
  /** A window sheet that is not cut, with its frame; null: none. */
  readonly window: WindowAsked | null
}

export interface WindowAsked {
  readonly sheet: { readonly width: number; readonly height: number }
  readonly bar: number
  readonly groove: number
  readonly play: number
  readonly tongue: number
  /** Whether its frame is the lid itself. */
  readonly isLid: boolean
}

export type EnclosurePart = 'left' | 'right' | 'front' | 'back' | 'roof' | 'floor' | 'lid'

/** A panel to cut: its box along and across, what is taken out of it, mm³, and its outline where it is no rectangle. */
export interface EnclosurePanel {
  readonly name: EnclosurePart
  readonly along: number
  readonly across: number
  readonly taken: number
  readonly outline: readonly (readonly [x: number, y: number])[] | null
}

export interface Enclosure {
  readonly outside: { readonly x: number; readonly y: number; readonly z: number }
  readonly inside: EnclosureAsked['inside']
  readonly panels: readonly EnclosurePanel[]
  /** Of the lid: from the hinge to its free edge, and along the hinge. */
  readonly lid: { readonly long: number; readonly wide: number }
  readonly frame: WindowFrame | null
}

/**
 * Inside of a box whose lid is the frame of an uncut window sheet, mm, by the two sizes that the frame gives. @param thickness Of the box. Valid: a top or a front lid. Source: the lid lies over the edges of the box.
 */
export function insideByFrame({ outside }: WindowFrame, thickness: number): { readonly width: number; readonly height: number } {
  return { width: outside.width - 2 * thickness, height: outside.height - 2 * thickness }
}

/**
 * Panels of a box and of its lid, which lies over the edges. @returns Them; or all that contradicts: no size, a joint through the sheet, a slant that is none, a frame larger than the lid.
 * Valid: panels of one thickness. Source: by definition: what stands in a joint is longer by its depth at each end, so that inside and outside stay. @throws never.
 */
export function enclosureOf(asked: EnclosureAsked): Outcome<Enclosure> {
  const { inside, thickness: t, hasFloor } = asked
  const outside = { x: inside.x + 2 * t, y: inside.y + 2 * t, z: inside.z + t * (hasFloor ? 2 : 1) }
  const wrong = [...wrongSizes(asked), ...wrongSlant(asked, outside)]
  if (wrong.length > 0) return { ok: false, findings: wrong }
  const made = FORMS[asked.form](asked, outside)
  if (asked.window === null) return accepted({ outside, inside, ...made, frame: null })
  const frame = windowFrame(asked.window.sheet, asked.window)
  if (!frame.ok) return frame
  const tooLarge = wrongFrame(frame.value, made.lid)
  if (tooLarge !== null) return refused('frame-too-large', tooLarge)
  return accepted({
    outside,
    inside,
    ...made,
    panels: withWindow(made.panels, frame.value, asked.window.isLid, t),
    frame: frame.value,
  })
}

const error = (code: string, message: string): Finding => ({ code, severity: 'error', message })
const say = (mm: number): string => String(Math.round(mm * 10) / 10)

function wrongSizes({ inside, thickness: t, joint }: EnclosureAsked): readonly Finding[] {
  const j = depthOf(joint)
  return [
    ...(Math.min(inside.x, inside.y, inside.z) > 0
      ? []
      : [error('no-size', 'The inside has a size of 0 or less: enter what it measures.')]),
    ...(t > 0 ? [] : [error('no-size', 'The sheet has a thickness of 0 or less: measure it.')]),
    ...(j >= 0 && j < t
      ? []
      : [
          error(
            'joint-through',
            `A joint ${say(j)} mm deep goes through a sheet of ${say(t)} mm: make it half as deep as the sheet, or less.`,
          ),
        ]),
  ]
}

function wrongSlant(
  { form, frontHeight, roofDepth, thickness: t }: EnclosureAsked,
  outside: Enclosure['outside'],
): readonly Finding[] {
  if (form !== 'angled') return []
  return [
    ...(frontHeight > t && frontHeight < outside.z
      ? []
      : [
          error(
            'no-slant',
            `The upright part of the front is ${say(frontHeight)} mm: more than the sheet and less than the ${say(outside.z)} mm of the box leave a slant.`,
          ),
        ]),
    ...(roofDepth > t && roofDepth < outside.y
      ? []
      : [
          error(
            'no-slant',
            `The level part of the roof is ${say(roofDepth)} mm: more than the sheet and less than the ${say(outside.y)} mm of the box leave a slant.`,
          ),
        ]),
  ]
}

function wrongFrame({ outside }: WindowFrame, { long, wide }: Enclosure['lid']): string | null {
  if (outside.width <= wide + 0.01 && outside.height <= long + 0.01) return null
  return `The frame of the window measures ${say(outside.width)} × ${say(outside.height)} mm, the lid ${say(wide)} × ${say(long)}: let the window decide the size of the box, or take a smaller sheet.`
}

const depthOf = (joint: Joint): number => (joint.kind === 'butt' ? 0 : joint.depth)

type Made = Pick<Enclosure, 'panels' | 'lid'>
type MakeForm = (asked: EnclosureAsked, outside: Enclosure['outside']) => Made

const plain = (name: EnclosurePart, along: number, across: number, taken = 0): EnclosurePanel => ({
  name,
  along,
  across,
  taken,
  outline: null,
})

const top: MakeForm = ({ inside, thickness: t, joint, hasFloor }, outside) => {
  const j = depthOf(joint)
  const step = (length: number): number => j * t * length
  const tall = outside.z - t
  const side = [outside.y, tall, 2 * step(tall) + (hasFloor ? step(inside.y) : 0)] as const
  const front = [inside.x + 2 * j, tall, hasFloor ? step(inside.x + 2 * j) : 0] as const
  return {
    panels: [
      plain('left', ...side),
      plain('right', ...side),
      plain('front', ...front),
      plain('back', ...front),
      ...(hasFloor ? [plain('floor', inside.x + 2 * j, inside.y + 2 * j)] : []),
      plain('lid', outside.x, outside.y),
    ],
    lid: { long: outside.y, wide: outside.x },
  }
}

const front: MakeForm = ({ inside, thickness: t, joint, hasFloor }, outside) => {
  const j = depthOf(joint)
  const step = (length: number): number => j * t * length
  const shelves = hasFloor ? 2 : 1
  const side = [inside.y + t, outside.z, step(outside.z) + shelves * step(inside.y)] as const
  const level = [inside.x + 2 * j, inside.y + j] as const
  return {
    panels: [
      plain('left', ...side),
      plain('right', ...side),
      plain('back', inside.x + 2 * j, outside.z, shelves * step(inside.x + 2 * j)),
      plain('roof', ...level),
      ...(hasFloor ? [plain('floor', ...level)] : []),
      plain('lid', outside.x, outside.z),
    ],
    lid: { long: outside.z, wide: outside.x },
  }
}

const angled: MakeForm = ({ inside, thickness: t, joint, hasFloor, frontHeight, roofDepth }, outside) => {
  const j = depthOf(joint)
  const step = (length: number): number => j * t * length
  const [deep, high] = [outside.y - roofDepth, outside.z - frontHeight]
  const shelves = hasFloor ? 2 : 1
  const taken =
    (deep * high * t) / 2 + step(outside.z) + step(frontHeight) + (hasFloor ? step(inside.y) : 0) + step(roofDepth - t)
  const side = (name: 'left' | 'right'): EnclosurePanel => ({
    name,
    along: outside.y,
    across: outside.z,
    taken,
    // From the lower front corner: up the front, along the slant, back along the roof, down the back.
    outline: [
      [0, 0],
      [0, frontHeight],
      [deep, outside.z],
      [outside.y, outside.z],
      [outside.y, 0],
    ],
  })
  const wide = inside.x + 2 * j
  return {
    panels: [
      side('left'),
      side('right'),
      plain('front', wide, frontHeight, hasFloor ? step(wide) : 0),
      plain('back', wide, outside.z, shelves * step(wide)),
      plain('roof', wide, roofDepth - t + j),
      ...(hasFloor ? [plain('floor', wide, inside.y + 2 * j)] : []),
      plain('lid', outside.x, Math.hypot(deep, high)),
    ],
    lid: { long: Math.hypot(deep, high), wide: outside.x },
  }
}

const FORMS: Readonly<Record<LidForm, MakeForm>> = { top, front, angled }

/** The lid with a window: none where the frame is the lid itself, else one with what stands open taken out. */
function withWindow(
  panels: readonly EnclosurePanel[],
  { open }: WindowFrame,
  isLid: boolean,
  t: number,
): readonly EnclosurePanel[] {
  if (isLid) return panels.filter((it) => it.name !== 'lid')
  return panels.map((it) => (it.name === 'lid' ? { ...it, taken: it.taken + open.width * open.height * t } : it))
}

/** Material of panels, mm³, joints and openings taken out. @param thickness mm. Valid: as `enclosureOf`. Source: by definition. @example panelMaterial([{ name: 'roof', along: 100, across: 50, taken: 0, outline: null }], 9) // 45000 */
export function panelMaterial(panels: readonly EnclosurePanel[], thickness: number): number {
  return panels.reduce((sum, it) => sum + it.along * it.across * thickness - it.taken, 0)
}

/** Both faces of panels, mm², as they are painted; edges and joints left aside. @param thickness mm. Valid: as `enclosureOf`. Source: by definition. @example paintedArea([{ name: 'roof', along: 100, across: 50, taken: 0, outline: null }], 9) // 10000 */
export function paintedArea(panels: readonly EnclosurePanel[], thickness: number): number {
  return (2 * panelMaterial(panels, thickness)) / thickness
}
