import { bare, group, text, word, type Of } from '../bench'
import { wrongWithSubroutines, type SubroutineWords } from './subroutines'

/** In which manner a controller is told the power. */
export const MANNERS = ['block', 'follows', 'inMove', 'switched'] as const
export type Manner = (typeof MANNERS)[number]

/** When a word for the beam acts. */
export const TIMINGS = ['queued', 'atOnce'] as const

/**
 * How one controller wants its words: what goes beyond the standard, as templates the user edits. `{power}` stands for
 * the power word of the present power, `{seconds}` for a wait.
 */
const benchCardParts = {
  name: text(1, 60),
  about: text(0, 400),
  units: word(['mm', 'inch'] as const),
  /** Decimals of coordinates; feeds get one less. */
  decimals: bare({ whole: true, min: 0, max: 6 }),
  /** Decimals of the power word. */
  powerDecimals: bare({ whole: true, min: 0, max: 6 }),
  /** Lines before the work; coordinates and units are set by the writer itself. */
  header: text(0, 4000),
  footer: text(0, 4000),
  /** One or more lines that turn the beam on at `{power}`. */
  beamOn: text(0, 400),
  /** One or more lines that turn it off. */
  beamOff: text(0, 400),
  dwell: text(0, 400),
  /** In a line of its own, constant or following the speed; in each move; or on and off only. */
  manner: word(MANNERS, 'block'),
  /** Whether a word for the beam waits its turn among the moves, or acts as soon as it is read. */
  timing: word(TIMINGS, 'queued'),
  /** With power in each move: what a move gets behind it, at `{power}`. */
  inMove: text(0, 80, ''),
  /** Whether it takes arcs, or short lines in their place. */
  arcs: word(['arcs', 'lines'] as const, 'arcs'),
  /** Step of the line numbers; 0: none. */
  numbered: bare({ whole: true, min: 0, max: 1000 }),
  /** Seconds that it waits behind “beam on” before it moves. */
  afterOn: bare({ min: 0, max: 60 }),
  /** Lines that turn air and extraction on before the work and off behind it. */
  airOn: text(0, 400, ''),
  airOff: text(0, 400, ''),
  /** How programs that come from elsewhere call subroutines, begin and end them; empty: they are not carried out. */
  subCall: text(0, 60, ''),
  subBegins: text(0, 60, ''),
  subEnds: text(0, 60, ''),
}

/** A card as a bench keeps it: the full power word is a fact of its own there. */
export const benchCardShape = group(benchCardParts, { stage: 'controller', part: 'settings' })
export type BenchCard = Of<typeof benchCardShape>

/** @property fullPower The power word at full power. */
export const outputCardShape = group({ ...benchCardParts, fullPower: bare({ above: 0, max: 1e9 }) })
export type OutputCard = Of<typeof outputCardShape>

/** A card that says things as the standard's words allow: power as S, the beam as the spindle (common practice). */
export const PLAIN_CARD: OutputCard = {
  name: 'Plain words',
  about: 'Power as the S word, the beam as the spindle clockwise. Edit it to what your controller wants.',
  units: 'mm',
  decimals: 3,
  fullPower: 1000,
  powerDecimals: 0,
  header: '',
  footer: 'M2',
  beamOn: 'M3 S{power}',
  beamOff: 'M5',
  dwell: 'G4 P{seconds}',
  manner: 'block',
  timing: 'queued',
  inMove: '',
  arcs: 'arcs',
  numbered: 0,
  afterOn: 0,
  airOn: '',
  airOff: '',
  subCall: '',
  subBegins: '',
  subEnds: '',
}

/** How a card states subroutines; undefined where it does not. */
export function subroutinesOf(card: Pick<OutputCard, 'subCall' | 'subBegins' | 'subEnds'>): SubroutineWords | undefined {
  const words = { call: card.subCall, begins: card.subBegins, ends: card.subEnds }
  return words.call.trim() === '' || wrongWithSubroutines(words) !== null ? undefined : words
}
