import { accepted, refused, type Outcome } from '../units'

/** How a panel meets the one beside it. */
export type Joint =
  | { readonly kind: 'butt' }
  /** The panel stands in a step, or in a groove, so deep in the one beside it, mm. */
  | { readonly kind: 'rebate' | 'groove'; readonly depth: number }

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
