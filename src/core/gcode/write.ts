import { accepted, assertNever, type Finding, type Outcome } from '../units'
import { arcCentre, PLANE_AXES, sweptAngle } from './arc'
import type { OutputCard } from './card'
import { readCard } from './readCard'
import type { RotaryLetter } from './rotaryLetters'

/** What a program is made of. Lengths in mm, speeds in mm/s, power as a share of full power; a z that is not given stays. */
export type Step =
  | { readonly kind: 'rapid'; readonly x: number; readonly y: number; readonly z?: number }
  | {
      readonly kind: 'line'
      readonly x: number
      readonly y: number
      readonly z?: number
      readonly feed: number
      readonly power: number
    }
  | ArcStep
  | { readonly kind: 'wait'; readonly seconds: number }
  /** The light stands for a time where the head is. */
  | { readonly kind: 'dot'; readonly seconds: number; readonly power: number }
  | { readonly kind: 'remark'; readonly text: string }
  /** Somebody does something at the machine, and lets it go on. */
  | { readonly kind: 'pause'; readonly text: string }
  /** A rotary axis of its own turns, in the dark, to an angle from its zero, rad. */
  | { readonly kind: 'turn'; readonly letter: RotaryLetter; readonly to: number }

/** A rotary axis that goes round in the place of what is counted along an axis. */
export interface RoundAxis {
  readonly instead: 'x' | 'y'
  readonly letter: RotaryLetter
  /** Degrees for a millimetre of that axis; more than 0. */
  readonly degrees: number
}

export interface ArcStep {
  readonly kind: 'arc'
  readonly x: number
  readonly y: number
  readonly z?: number
  /** XY where it is not given; then ZX 18 or YZ 19. */
  readonly plane?: 17 | 18 | 19
  /** Centre, mm; of the two axes of its plane. */
  readonly centreX: number
  readonly centreY: number
  readonly centreZ?: number
  readonly clockwise: boolean
  readonly feed: number
  readonly power: number
}

type Place = readonly [x: number, y: number, z: number]

const MM_PER_INCH = 25.4
/** A wait that lets the moves before it come to their end, s. */
const SETTLES = '0.01'

/**
 * Writes a program through an output card. The beam is turned off before every rapid move, before every wait and at
 * the end, each time on a line of its own: within a line the standard darkens before it moves. Every number is what the
 * card's decimals leave of it, counted from where the rounded program stands; an arc whose rounded ends no longer lie on
 * one circle, or whose sense would change, is written as short lines, and said.
 * @param steps In order, from the origin; gone through twice. @param card As the user edited it; checked again here.
 * @param round What goes round in the place of an axis: its moves then have degrees, and a feed as the standard counts it: along the
 * straight axes where one of them moves, else in degrees a minute (NISTIR 6556, 2.1.2.5, from memory).
 * @returns The text with one line feed a line, or why the card cannot be used.
 * @throws never for a step of the kinds that there are.
 * Source: NISTIR 6556, table 8 (order of execution) and 3.5.3 (arcs; both from memory).
 */
export function writeProgram(steps: Iterable<Step>, card: OutputCard, round: RoundAxis | null = null): Outcome<string> {
  const checked = readCard(card)
  if (!checked.ok) return checked
  const powers = powerFindings(steps, card)
  if (powers.some((it) => it.severity === 'error')) return { ok: false, findings: powers }
  const writer = writerOf(card, round)
  for (const step of steps) {
    switch (step.kind) {
      case 'rapid':
        writer.setPower(0)
        writer.straight('G0', writer.placeOf(step), '')
        break
      case 'line':
        writer.setPower(step.power)
        writer.lit(writer.placeOf(step), step.feed)
        break
      case 'arc':
        writer.setPower(step.power)
        writer.arc(step)
        break
      case 'wait':
        writer.setPower(0)
        writer.lines.push(...templateLines(card.dwell.replaceAll('{seconds}', printed(step.seconds, 3))))
        break
      case 'dot':
        writer.setPower(step.power)
        writer.lines.push(...templateLines(card.dwell.replaceAll('{seconds}', printed(step.seconds, 3))))
        writer.setPower(0)
        break
      case 'remark':
        writer.lines.push(remark(step.text))
        break
      case 'pause':
        writer.setPower(0)
        // M0 is the standard's own word. Source: NISTIR 6556, 3.6.1 (from memory).
        writer.lines.push(remark(step.text), 'M0')
        break
      case 'turn':
        writer.setPower(0)
        writer.lines.push(`G0 ${step.letter}${printed((step.to * 180) / Math.PI, 4)}`)
        break
      default:
        assertNever(step)
    }
  }
  const behind = [card.beamOff, card.airOff, card.footer].flatMap(templateLines)
  const lines = numbered([...writer.lines, ...behind], card.numbered)
  return accepted(`${lines.join('\n')}\n`, [...checked.findings, ...powers, ...chordFindings(writer.chorded(), card)])
}

function remark(text: string): string {
  return `(${text.replace(/[()\n\r]/g, ' ').slice(0, 250)})`
}

/** Powers that the card cannot say: beyond full, or grey where the output is only switched. */
function powerFindings(steps: Iterable<Step>, card: OutputCard): readonly Finding[] {
  const powers = new Set<number>()
  for (const step of steps) if ('power' in step) powers.add(step.power)
  const beyond = [...powers].find((it) => !(it >= 0 && it <= 1))
  const refuse = (code: string, message: string): readonly Finding[] => [{ code, severity: 'error', path: 'beamOn', message }]
  const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`
  if (beyond !== undefined)
    return refuse('power-range', `A power of ${percent(beyond)} is beyond 0 to 100 %: nothing is written.`)
  const grey = card.manner === 'switched' ? [...powers].find((it) => it > 0 && it < 1) : undefined
  if (grey !== undefined)
    return refuse(
      'no-grey',
      `This card only switches the beam: ${percent(grey)} cannot be said. Take full power, or another card.`,
    )
  return card.manner === 'switched' ? [] : coarseFindings([...powers], card, percent)
}

/** A power that the card's word misses by more than this share of full power is not written; beyond the other it is said. */
const TOO_COARSE = 0.02
const COARSE = 0.005

/** Powers that the card's full word and decimals cannot say as they are meant. */
function coarseFindings(
  powers: readonly number[],
  { fullPower, powerDecimals }: OutputCard,
  percent: (share: number) => string,
): readonly Finding[] {
  const said = (share: number): number => Number((share * fullPower).toFixed(powerDecimals)) / fullPower
  const off = (share: number): number => Math.abs(said(share) - share)
  const worst = powers.reduce((most, it) => (off(it) > off(most) ? it : most), 0)
  if (off(worst) <= COARSE + 1e-12) return []
  const step = percent(10 ** -powerDecimals / fullPower)
  const became = `the word for full power is ${fullPower} with ${powerDecimals} decimals, so power goes in steps of ${step}, and ${percent(worst)} would be ${percent(said(worst))}`
  const isRefused = off(worst) > TOO_COARSE + 1e-12
  const message = isRefused
    ? `On this card ${became}: nothing is written. Give the word more decimals or a larger full word, if the controller takes them, or take another power.`
    : `On this card ${became}. More decimals of the power word say it closer, if the controller takes them.`
  return [{ code: 'power-coarse', severity: isRefused ? 'error' : 'warning', path: 'powerDecimals', message }]
}

/** Lines with their numbers, each so much more than the last; remarks have none. */
function numbered(lines: readonly string[], step: number): readonly string[] {
  if (step === 0) return lines
  let next = 0
  return lines.map((it) => {
    if (it.startsWith('(')) return it
    next = (next + step) % LAST_NUMBER
    return `N${next} ${it}`
  })
}

/** Numbers go up to 99999, then begin again. Source: NISTIR 6556 (from memory). */
const LAST_NUMBER = 100_000

function chordFindings(count: number, { decimals }: OutputCard): Finding[] {
  if (count === 0) return []
  const arcs = count === 1 ? 'One arc is' : `${count} arcs are`
  const message = `${arcs} written as short lines: with ${decimals} decimals the ends would not lie on one circle. More decimals on the output card keep arcs.`
  return [{ code: 'arc-as-lines', severity: 'warning', path: 'decimals', message }]
}

/** mm for a unit of a card's coordinates. */
function unitOfCard({ units }: Pick<OutputCard, 'units'>): number {
  return units === 'mm' ? 1 : MM_PER_INCH
}

/**
 * The coordinate that a program through a card really commands.
 * @param mm What is wanted. @returns mm, to the card's decimals in its units.
 * Valid: any length. Source: by definition, as `writeProgram` prints it.
 * @example asCommanded(1.23456, { units: 'mm', decimals: 3 }) // 1.235
 */
export function asCommanded(mm: number, card: Pick<OutputCard, 'units' | 'decimals'>): number {
  const unit = unitOfCard(card)
  return Number((mm / unit).toFixed(card.decimals)) * unit
}

function writerOf(card: OutputCard, round: RoundAxis | null) {
  const unit = unitOfCard(card)
  const lines: string[] = [
    card.units === 'mm' ? 'G21' : 'G20',
    'G90',
    'G17',
    'G94',
    ...templateLines(card.beamOff),
    ...templateLines(card.header),
    ...templateLines(card.airOn),
  ]
  const state = { place: [0, 0, 0] as Place, wanted: [0, 0, 0] as Place, feed: '', power: 0, plane: 17, chorded: 0 }
  /** As printed: the number that a reader takes from it. */
  const length = (mm: number): string => printed(mm / unit, card.decimals)
  const read = (mm: number): number => Number(length(mm)) * unit

  function setPower(power: number): void {
    if (power === state.power) return
    const wasDark = state.power === 0
    state.power = power
    // With power in each move the beam is turned on once, and the moves carry it from there.
    if (card.manner === 'inMove' && power !== 0 && !wasDark) return
    // Where a word acts as soon as it is read, the moves before it are let come to their end first.
    if (card.timing === 'atOnce') lines.push(...templateLines(card.dwell.replaceAll('{seconds}', SETTLES)))
    const on = card.beamOn.replaceAll('{power}', printed(power * card.fullPower, card.powerDecimals))
    lines.push(...templateLines(power === 0 ? card.beamOff : on))
    if (wasDark && card.afterOn > 0) lines.push(...templateLines(card.dwell.replaceAll('{seconds}', printed(card.afterOn, 3))))
  }

  /** What a lit move gets behind it. */
  function powerWord(): string {
    if (card.manner !== 'inMove' || state.power === 0) return ''
    return ` ${card.inMove.replaceAll('{power}', printed(state.power * card.fullPower, card.powerDecimals))}`
  }

  /** @param perMinute In the units of the card, or degrees. */
  function feedOf(perMinute: number): string {
    const word = ` F${printed(perMinute, Math.max(0, card.decimals - 1))}`
    if (word === state.feed) return ''
    state.feed = word
    return word
  }

  const feedWord = (feed: number): string => feedOf((feed * 60) / unit)

  /** The feed of a move of which a part goes round: along the straight axes, or in degrees where none of them moves. */
  function feedOfRound(to: Place, feed: number, { instead, degrees }: RoundAxis): string {
    const around = instead === 'x' ? 0 : 1
    const way = to.map((it, axis) => it - state.place[axis as 0 | 1 | 2]) as [number, number, number]
    const straightWay = Math.hypot(way[1 - around] as number, way[2])
    const share = straightWay / Math.hypot(way[around], straightWay)
    return straightWay > 0 ? feedWord(feed * share) : feedOf(feed * 60 * degrees)
  }

  /** A lit move in a straight line. */
  function lit(wanted: Place, feed: number): void {
    const words = round === null ? feedWord(feed) : feedOfRound(rounded(wanted), feed, round)
    straight('G1', wanted, words + powerWord())
  }

  /** Where a step is to end, as wanted; what is printed of it is rounded. */
  function placeOf({ x, y, z }: { readonly x: number; readonly y: number; readonly z?: number }): Place {
    return [x, y, z ?? state.wanted[2]]
  }

  function rounded([x, y, z]: Place): Place {
    return [read(x), read(y), read(z)]
  }

  function axesTo(to: Place): string {
    const z = to[2] === state.place[2] ? '' : ` Z${length(to[2])}`
    if (round === null) return ` X${length(to[0])} Y${length(to[1])}${z}`
    const turned = `${round.letter}${printed(to[round.instead === 'x' ? 0 : 1] * round.degrees, 4)}`
    return round.instead === 'x' ? ` ${turned} Y${length(to[1])}${z}` : ` X${length(to[0])} ${turned}${z}`
  }

  function straight(word: 'G0' | 'G1', wanted: Place, feed: string): void {
    const to = rounded(wanted)
    lines.push(`${word}${axesTo(to)}${feed}`)
    state.place = to
    state.wanted = wanted
  }

  function arc(step: ArcStep): void {
    const wanted: ArcEnds = {
      from: state.wanted,
      to: placeOf(step),
      centre: [step.centreX, step.centreY, step.centreZ ?? state.wanted[2]],
      plane: step.plane ?? 17,
      clockwise: step.clockwise,
    }
    const [a, b] = PLANE_AXES[wanted.plane]
    const offset = (axis: 0 | 1 | 2): string => length(wanted.centre[axis] - state.place[axis])
    const [da, db] = [offset(a), offset(b)]
    const to = rounded(wanted.to)
    const isArc = staysArc(wanted, state.place, to, [Number(da), Number(db)], unit)
    if (card.arcs === 'lines' || !isArc || round !== null) {
      if (card.arcs === 'arcs' && round === null) state.chorded++
      for (const point of chords(wanted, Math.max(10 ** -card.decimals * unit, 0.004) / 2)) {
        const moves = rounded(point).some((it, i) => it !== state.place[i])
        if (moves) lit(point, step.feed)
      }
      state.wanted = wanted.to
      return
    }
    if (wanted.plane !== state.plane) lines.push(`G${wanted.plane}`)
    state.plane = wanted.plane
    lines.push(
      `${step.clockwise ? 'G2' : 'G3'}${axesTo(to)} ${'IJK'.charAt(a)}${da} ${'IJK'.charAt(b)}${db}${feedWord(step.feed)}${powerWord()}`,
    )
    state.place = to
    state.wanted = wanted.to
  }

  return { lines, setPower, placeOf, straight, lit, arc, chorded: () => state.chorded }
}

interface ArcEnds {
  readonly from: Place
  readonly to: Place
  readonly centre: Place
  readonly plane: 17 | 18 | 19
  readonly clockwise: boolean
}

/** Whether what is printed of an arc is read as that arc: its ends on one circle, and about as far round. */
function staysArc(wanted: ArcEnds, from: Place, to: Place, [da, db]: readonly [number, number], unit: number): boolean {
  const { plane, clockwise } = wanted
  const [a, b] = PLANE_AXES[plane]
  const words = { i: Number.NaN, j: Number.NaN, k: Number.NaN, r: Number.NaN }
  const letters = ['i', 'j', 'k'] as const
  words[letters[a]] = da
  words[letters[b]] = db
  const centre = arcCentre({ plane, clockwise, from, to, unit }, words)
  if (typeof centre === 'string') return false
  const read = sweptAngle([from[a], from[b]], [to[a], to[b]], centre, clockwise)
  return Math.abs(read - sweptOf(wanted)) < Math.PI / 4
}

function sweptOf({ from, to, centre, plane, clockwise }: ArcEnds): number {
  const [a, b] = PLANE_AXES[plane]
  return sweptAngle([from[a], from[b]], [to[a], to[b]], [centre[a], centre[b]], clockwise)
}

/**
 * Places along an arc in the plane XY, its end last, so that chords keep within a distance of it. @param from Where it begins, mm. @param step The arc. @param within mm; more than 0.
 * Valid: any arc of that plane. Source: sagitta s = r(1 − cos(α/2)) (handbook of the trade).
 */
export function chordsOfArc(
  [x, y]: readonly [x: number, y: number],
  step: ArcStep,
  within: number,
): readonly (readonly [x: number, y: number])[] {
  const ends: ArcEnds = {
    from: [x, y, 0],
    to: [step.x, step.y, 0],
    centre: [step.centreX, step.centreY, 0],
    plane: 17,
    clockwise: step.clockwise,
  }
  return [...chords(ends, within)].map(([px, py]) => [px, py] as const)
}

/** Points along an arc, its end last, so that chords keep within a distance of it. */
function* chords(wanted: ArcEnds, within: number): Generator<Place> {
  const { from, to, centre, plane, clockwise } = wanted
  const [a, b] = PLANE_AXES[plane]
  const third = (3 - a - b) as 0 | 1 | 2
  const [ca, cb] = [centre[a], centre[b]]
  const radius = Math.hypot(from[a] - ca, from[b] - cb)
  const swept = sweptOf(wanted)
  const start = Math.atan2(from[b] - cb, from[a] - ca)
  const count = Math.max(1, Math.ceil(swept / (2 * Math.acos(Math.max(0, 1 - within / Math.max(radius, within))))))
  for (let k = 1; k < count; k++) {
    const share = k / count
    const angle = start + (clockwise ? -1 : 1) * swept * share
    const point: [number, number, number] = [0, 0, 0]
    point[a] = ca + radius * Math.cos(angle)
    point[b] = cb + radius * Math.sin(angle)
    point[third] = from[third] + (to[third] - from[third]) * share
    yield point
  }
  yield to
}

/** To a number of decimals, without zeros at the end, and never −0. */
function printed(value: number, decimals: number): string {
  const text = value.toFixed(decimals)
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text
  return short === '-0' ? '0' : short
}

function templateLines(template: string): string[] {
  return template
    .split('\n')
    .map((it) => it.trim())
    .filter((it) => it !== '')
}
