import type { Outline } from '../artwork'
import type { Picture } from '../scan'
import type { Side } from './kerf'

/** What can be done with a part of a piece. */
export const DOES = ['cut', 'part', 'mark', 'fill', 'leave'] as const
export type Does = (typeof DOES)[number]

/** Numbers that something is burnt with. */
export interface BurnSetting {
  /** Share of full power, 0…1. */
  readonly power: number
  /** mm/s; more than 0. */
  readonly speed: number
  /** Between scan lines, mm; more than 0 where lines are scanned. */
  readonly pitch: number
  /** 1 or more. */
  readonly passes: number
  /** By how much the head is raised, mm. */
  readonly focus: number
}

/** Outlines that are burnt alike: a way of one piece, in one of its copies; mm on the machine. */
export interface OutlineTask {
  readonly does: Exclude<Does, 'leave'>
  /** What it is called in the program. */
  readonly name: string
  /** What all copies of it are called, where something is said of them. */
  readonly of: string
  /** Its turn in the list of pieces and what is done with them. */
  readonly turn: number
  /** Outlines of one copy of a piece lie in one another: what has the same word here does. */
  readonly copy: string
  readonly outlines: readonly Outline[]
  readonly fillRule: 'nonzero' | 'evenodd'
  readonly setting: BurnSetting
  readonly side: Side
  /** Bars that hold a part, and how wide each is, mm. */
  readonly tabs: number
  readonly tabWidth: number
  /** Way of a cut before it comes to its part, mm; 0: none. */
  readonly lead: number
  /** How much lower the head is for each pass behind the first, mm. */
  readonly drop: number
  /** Of a fill, rad; null: the quickest. */
  readonly angleRad: number | null
}

/** How greys become burns. */
export type Toning =
  | { readonly kind: 'grey'; readonly powers: ArrayLike<number> }
  | {
      readonly kind: 'four' | 'twelve' | 'twelveSharp' | 'ordered'
      /** Shares of dots for luminances from 0 to 1. */
      readonly shares: ArrayLike<number>
    }

/** A picture that is burnt, its lower left corner at a place, turned about it. */
export interface PictureTask {
  readonly does: 'picture'
  readonly name: string
  readonly of: string
  readonly picture: Picture
  readonly isMirrored: boolean
  /** mm. */
  readonly width: number
  readonly height: number
  readonly x: number
  readonly y: number
  readonly turnRad: number
  readonly setting: BurnSetting
  readonly toning: Toning
  /** Against the picture's own rows; null: along them or across, whichever is quicker. */
  readonly angleRad: number | null
}

export type Task = OutlineTask | PictureTask
