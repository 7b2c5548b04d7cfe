/**
 * The words of the language with their modal groups. One table; longer than most files because it is one.
 * Source: NISTIR 6556, tables 4 and 5 (RS274/NGC version 3, from memory).
 */

export type Group =
  | 'motion'
  | 'plane'
  | 'distance'
  | 'feed mode'
  | 'units'
  | 'cutter'
  | 'length'
  | 'return'
  | 'work'
  | 'path'
  | 'stop'
  | 'tool'
  | 'spindle'
  | 'coolant'
  | 'override'
  | 'not modal'

export interface KnownWord {
  readonly group: Group
  /** Carried out here; the others are of the standard, and are reported. */
  readonly supported: boolean
  /** What it does, in the words of the trade. */
  readonly does: string
  /** It is read and has no effect here. */
  readonly isIdle?: true
}

/** Codes are kept in tenths: G92.1 is 921. */
export const tenths = (value: number): number => Math.round(value * 10)

const yes = (group: Group, does: string): KnownWord => ({ group, supported: true, does })
/** Carried out as far as it moves the head: not at all; that is said once. */
const idle = (group: Group, does: string): KnownWord => ({ group, supported: true, does, isIdle: true })
const no = (group: Group, does: string): KnownWord => ({ group, supported: false, does })

export const G_WORDS: ReadonlyMap<number, KnownWord> = new Map([
  [0, yes('motion', 'rapid move')],
  [10, yes('motion', 'straight move at feed rate')],
  [20, yes('motion', 'arc, clockwise')],
  [30, yes('motion', 'arc, counter-clockwise')],
  [40, yes('not modal', 'dwell')],
  [100, no('not modal', 'set a coordinate system')],
  [170, yes('plane', 'XY plane')],
  [180, yes('plane', 'ZX plane')],
  [190, yes('plane', 'YZ plane')],
  [200, yes('units', 'inches')],
  [210, yes('units', 'millimetres')],
  [280, no('not modal', 'return home')],
  [300, no('not modal', 'return to the second home')],
  [382, no('motion', 'straight probe')],
  [400, yes('cutter', 'no cutter compensation')],
  [410, no('cutter', 'cutter compensation left')],
  [420, no('cutter', 'cutter compensation right')],
  [430, idle('length', 'tool length offset: coordinates are those of the tip')],
  [490, yes('length', 'no tool length offset')],
  [530, no('not modal', 'machine coordinates')],
  [540, yes('work', 'first coordinate system')],
  ...[550, 560, 570, 580, 590, 591, 592, 593].map((code) => [code, no('work', 'another coordinate system')] as const),
  [610, idle('path', 'exact path')],
  [611, idle('path', 'exact stop')],
  [640, idle('path', 'continuous path')],
  [800, yes('motion', 'no motion mode')],
  ...[810, 820, 830, 850, 860, 890].map((code) => [code, yes('motion', 'canned cycle')] as const),
  ...[840, 870, 880].map((code) => [code, no('motion', 'canned cycle with a tap, or by hand')] as const),
  [900, yes('distance', 'absolute distances')],
  [910, yes('distance', 'incremental distances')],
  [920, yes('not modal', 'offset the coordinates')],
  [921, yes('not modal', 'clear the offset')],
  [922, yes('not modal', 'suspend the offset')],
  [923, yes('not modal', 'restore the offset')],
  [930, no('feed mode', 'inverse time feed')],
  [940, yes('feed mode', 'feed in units a minute')],
  [980, yes('return', 'return to the first level')],
  [990, yes('return', 'return to the R level')],
])

export const M_WORDS: ReadonlyMap<number, KnownWord> = new Map([
  [0, yes('stop', 'pause')],
  [10, idle('stop', 'optional pause')],
  [20, yes('stop', 'end of the program')],
  [30, yes('spindle', 'spindle clockwise')],
  [40, yes('spindle', 'spindle counter-clockwise')],
  [50, yes('spindle', 'spindle off')],
  [60, idle('tool', 'tool change: the head stays where it is')],
  [70, yes('coolant', 'mist on')],
  [80, yes('coolant', 'flood on')],
  [90, yes('coolant', 'coolant off')],
  [300, yes('stop', 'end of the program')],
  [480, idle('override', 'overrides allowed')],
  [490, idle('override', 'overrides not allowed')],
  [600, no('stop', 'pallet change')],
])

/** Letters of the standard that nothing here uses. */
export const IDLE_LETTERS: ReadonlyMap<string, string> = new Map([
  ['A', 'rotation about X'],
  ['B', 'rotation about Y'],
  ['C', 'rotation about Z'],
  ['D', 'cutter radius number'],
])
