import { accepted, refused, type Finding, type Outcome } from '../units'

/** How a panel meets the one beside it. */
export type Joint =
  | { readonly kind: 'butt' }
  /** The panel stands in a step, or in a groove, so deep in the one beside it, mm. */
  | { readonly kind: 'rebate' | 'groove'; readonly depth: number }

/** A closed box by its inside, mm; `sides` go through at every corner, front and back stand between them, floor and roof between all four. */
export interface BoxAsked {
  readonly inside: { readonly width: number; readonly depth: number; readonly height: number }
  /** Of the sheet as measured, mm. */
  readonly thickness: number
  readonly joint: Joint
  /** A hood has none, and is lifted away. */
  readonly hasFloor: boolean
}

export type PanelName = 'left' | 'right' | 'front' | 'back' | 'floor' | 'roof'

/** A panel to cut: its sides along and across, mm. */
export interface BoxPanel {
  readonly name: PanelName
  readonly along: number
  readonly across: number
  /** What joints take out of it, mm³. */
  readonly taken: number
}

export interface BoxMade {
  readonly outside: { readonly width: number; readonly depth: number; readonly height: number }
  readonly panels: readonly BoxPanel[]
}

/**
 * Panels of a box from its inside. @returns Them and the outside; or what contradicts: a size that is not above 0, a joint as deep as the sheet is thick.
 * Valid: panels of one thickness. Source: by definition: what stands in a joint is longer by its depth at each end, so that inside and outside stay.
 */
export function boxPanels({ inside, thickness: t, joint, hasFloor }: BoxAsked): Outcome<BoxMade> {
  const { width, depth, height } = inside
  const wrong = [
    ['The inside', Math.min(width, depth, height)],
    ['The sheet', t],
  ].find(([, size]) => !((size as number) > 0))
  if (wrong !== undefined) return refused('no-size', `${wrong[0]} has a size of 0 or less: enter what it measures.`)
  const j = joint.kind === 'butt' ? 0 : joint.depth
  if (!(j >= 0 && j < t))
    return refused(
      'joint-through',
      `A joint ${j} mm deep goes through a sheet of ${t} mm: make it half as deep as the sheet, or less.`,
    )
  const findings: readonly Finding[] =
    j > t / 2 + 1e-9
      ? [
          {
            code: 'joint-deep',
            severity: 'warning',
            message: `A joint ${j} mm deep leaves ${Math.round((t - j) * 10) / 10} mm of the sheet: half of it or less is usual.`,
          },
        ]
      : []
  const tall = height + t * (hasFloor ? 2 : 1)
  // Every panel that goes through has a step or groove for each that stands in it; at the corners that of the upright one is there already.
  const shelf = (length: number): number => j * t * length
  const shelves = hasFloor ? 2 : 1
  const ends = 2 * shelf(tall)
  const side = { along: depth + 2 * t, across: tall, taken: ends + shelves * shelf(depth) }
  const front = { along: width + 2 * j, across: tall, taken: shelves * shelf(width + 2 * j) }
  const level = { along: width + 2 * j, across: depth + 2 * j, taken: 0 }
  const panels: readonly BoxPanel[] = [
    { name: 'left', ...side },
    { name: 'right', ...side },
    { name: 'front', ...front },
    { name: 'back', ...front },
    { name: 'roof', ...level },
    ...(hasFloor ? [{ name: 'floor', ...level } as const] : []),
  ]
  return accepted({ outside: { width: width + 2 * t, depth: depth + 2 * t, height: tall }, panels }, findings)
}

/** Material of a box's panels, joints taken out, mm³. @param thickness mm. Valid: as `boxPanels`. Source: by definition. @example materialOf([{ name: 'roof', along: 100, across: 50, taken: 0 }], 9) // 45000 */
export function materialOf(panels: readonly BoxPanel[], thickness: number): number {
  return panels.reduce((sum, it) => sum + it.along * it.across * thickness - it.taken, 0)
}

/** Densities of sheets, kg/m³. (from memory) */
export const SHEET_DENSITY = {
  birch: 680,
  poplar: 430,
  mdf: 750,
  acrylic: 1190,
  polycarbonate: 1200,
  glass: 2500,
  aluminium: 2700,
  steel: 7850,
} as const

/** A need of the box in one direction. */
export interface Need {
  readonly id: string
  readonly label: string
  /** mm. */
  readonly size: number
}

/** The need that decides a size. @returns Null where there is none. */
export function deciding(needs: readonly Need[]): Need | null {
  return needs.reduce<Need | null>((most, it) => (most === null || it.size > most.size ? it : most), null)
}

/**
 * How far above what it sees a camera stands, mm. @param width That it is to see, mm. @param field Its angle of view, rad.
 * Valid: fields below a half turn. Source: w/(2 tan ½φ). @example cameraHeight(400, Math.PI / 3) // 346.4
 */
export function cameraHeight(width: number, field: number): number {
  return width / (2 * Math.tan(field / 2))
}

/** A frame around a sheet that is used as it is. */
export interface WindowFrame {
  /** What stands open, mm. */
  readonly open: { readonly width: number; readonly height: number }
  readonly outside: { readonly width: number; readonly height: number }
  /** Bars to cut: two upright over the whole height, two level between them, with their tongues. */
  readonly upright: number
  readonly level: number
}

/**
 * A window frame about a sheet that is not cut. @param sheet mm. @param bar Width of its bars, mm. @param groove Depth of the groove that the sheet stands in, mm. @param play Left to the sheet at each side, mm. @param tongue Of the level bars in the upright ones, mm.
 * @returns It; or what contradicts: a groove through the bar, play as deep as the groove. Valid: a sheet thinner than the groove is wide. Source: as a framed door.
 */
export function windowFrame(
  sheet: { readonly width: number; readonly height: number },
  {
    bar,
    groove,
    play,
    tongue,
  }: { readonly bar: number; readonly groove: number; readonly play: number; readonly tongue: number },
): Outcome<WindowFrame> {
  if (!(groove < bar && tongue < bar))
    return refused(
      'groove-through',
      `A groove or a tongue as deep as the bar is wide (${bar} mm) leaves nothing of it: make it a third of the bar.`,
    )
  if (!(play < groove))
    return refused(
      'falls-out',
      `With ${play} mm of play at each side the sheet falls out of a groove ${groove} mm deep: make the groove deeper.`,
    )
  const held = groove - play
  const open = { width: sheet.width - 2 * held, height: sheet.height - 2 * held }
  if (!(open.width > 0 && open.height > 0))
    return refused('no-opening', 'The grooves cover the whole sheet: nothing is left to look through.')
  const outside = { width: open.width + 2 * bar, height: open.height + 2 * bar }
  return accepted({ open, outside, upright: outside.height, level: open.width + 2 * tongue })
}
