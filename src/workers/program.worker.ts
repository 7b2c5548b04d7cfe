import * as Comlink from 'comlink'
import { programsApart, readProgram, writeProgram, type Moves, type OutputCard, type Step } from '../core/gcode'
import {
  lineNear,
  LONGEST_STAND,
  momentOf,
  planMoves,
  spanOf,
  surveyProgram,
  wayOfLines,
  type Drawing,
  type Limits,
} from '../core/planner'
import {
  burntApart,
  burntRuns,
  islandsOfRuns,
  joinedSteps,
  joinPrograms,
  lightOf,
  lookAtCutter,
  mendProgram,
  refitForBeam,
} from '../core/refit'
import { accepted, printNumber, refused, type Outcome } from '../core/units'
import { decodeText } from '../data/decode'
import { holdProgram, modesAt, searchIn, type HeldProgram } from './heldProgram'
import { drawn, type DrawingView, type Drawn } from './programDrawing'
import type { JointAsk, MadeProgram, ProgramWorker, RefitSummary } from './programTypes'

let held: HeldProgram | null = null
let made: Drawing | null = null

const NOTHING_OPEN = refused('no-program', 'No program is open. Choose one first.')

const api: ProgramWorker = {
  async survey(file, limits, options, onProgress) {
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    if (!text.ok) return text
    const read = holdProgram(text.value, limits, options, (lines) => {
      onProgress(lines)
      return true
    })
    held = read.held
    made = null
    const { survey } = read
    const found = { findings: [...text.findings, ...survey.findings], findingCount: text.findings.length + survey.findingCount }
    return accepted({ ...survey, ...found, listed: held.listing.count })
  },
  lines: (first, count) => held?.listing.lines(first, count) ?? [],
  way: (from, to) => (held === null ? null : wayOfLines(held.drawing, from, to)),
  span: (from, to) => (held === null ? null : spanOf(held.moves, held.plan, from, to)),
  modes: (line) => (held === null ? null : modesAt(held, line)),
  moment: (share, by) => (held === null ? null : momentOf(held.moves, held.plan, share, by)),
  find: (wanted, from, isBack) => (held === null ? { line: 0, count: 0, nth: 0 } : searchIn(held, wanted, from, isBack)),
  near: (x, y, within) => (held === null ? null : lineNear(held.drawing, x, y, within)),
  draw(view, until) {
    if (held === null) return null
    const { drawing } = held
    if (until === null) return sent([{ ...drawing, on: [0, 1] }], view)
    return sent(
      [
        { ...drawing, lit: new Uint8Array(drawing.x.length), on: [0] },
        { ...drawing, on: [1], until: drawing.end[until] ?? 0 },
      ],
      view,
    )
  },
  drawMade(view) {
    if (held === null) return null
    const before = { ...held.drawing, lit: new Uint8Array(held.drawing.x.length), on: [0] }
    return sent([before, ...(made === null ? [] : [{ ...made, on: [1] }])], view)
  },
  cutter: (level) => (held === null ? null : lookAtCutter(held.moves, level)),
  refit({ wish, card, limits }) {
    if (held === null) return NOTHING_OPEN
    const { steps, changes, burntLength, findings } = refitForBeam(held.moves, wish)
    const dots = dotsOf(steps)
    if (burntLength === 0 && dots.length === 0)
      return refused('nothing-below', 'Nothing of this program lies below the surface. Say another height of it.')
    const written = throughCard(steps, card, limits)
    if (!written.ok) return written
    return accepted({ ...written.value, burntLength, changes, dots, findings: [...findings, ...written.value.findings] })
  },
  part({ apart, order, lead, fullS, card, limits }) {
    if (held === null) return NOTHING_OPEN
    const runs = burntRuns(held.moves, fullS, lead)
    if (runs.length === 0) return refused('nothing-burnt', 'This program burns nothing: no move has the beam on.')
    const islands = islandsOfRuns(runs, apart)
    const written = throughCard(joinedSteps(islands, order), card, limits)
    return written.ok ? accepted({ ...written.value, islands: islands.length, runs: runs.length }) : written
  },
  mend({ wish, asLines, card, limits }) {
    if (held === null) return NOTHING_OPEN
    const { steps, mended, burntLength } = mendProgram(held.moves, wish)
    if (steps.length === 0)
      return refused('nothing-left', 'Nothing of this program is left: all of it lies outside. Say another zone.')
    const written = throughCard(steps, asLines ? { ...card, arcs: 'lines' } : card, limits)
    return written.ok ? accepted({ ...written.value, burntLength, mended }) : written
  },
  async join({ joints, card, limits }) {
    if (held === null) return NOTHING_OPEN
    const read: { moves: Moves; fullS: number; puts: JointAsk['puts']; pause: string }[] = []
    for (const { file, ...joint } of joints) {
      const moves = file === null ? accepted(held.moves) : await movesOf(file, held)
      if (!moves.ok) return moves
      read.push({ ...joint, moves: moves.value })
    }
    const sections = joinPrograms(read)
    const whole = throughCard(
      sections.flatMap(({ before, steps }): Step[] => [
        ...(before === '' ? [] : [{ kind: 'pause', text: before } as const]),
        ...steps,
      ]),
      card,
      limits,
    )
    if (!whole.ok) return whole
    const parts = sections.map(({ before, steps }) => ({ before, made: throughCard(steps, card, limits, false) }))
    const fine = parts.flatMap(({ before, made: it }) => (it.ok ? [{ before, made: it.value }] : []))
    return accepted({ ...whole.value, sections: fine })
  },
  async compare(file, limits, fullS) {
    if (held === null) return NOTHING_OPEN
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    if (!text.ok) return text
    const { moves, errorCount } = readProgram(text.value, held.options)
    const apart = burntApart(held.moves, moves, fullS)
    const seconds = limits === null ? 0 : planMoves(moves, limits).totalSeconds
    return accepted({ ...apart, lines: programsApart(held.text, text.value), seconds, errorCount })
  },
}

/** Steps through a card, and what they come to; they are what is drawn as made. */
function throughCard(steps: Iterable<Step>, card: OutputCard, limits: Limits | null, isShown = true): Outcome<MadeProgram> {
  const light = lightOf(steps)
  if (light.longestDot > LONGEST_STAND) {
    const message = `A light would stand on one place for ${printNumber(light.longestDot)} s, which sets fire: no more than ${LONGEST_STAND} s. Put the program right first: let waits with the beam on go dark.`
    return refused('long-dot', message)
  }
  const written = writeProgram(steps, card)
  if (!written.ok) return written
  const { power, speed } = light
  const { drawing, lines, seconds, bounds, burntLength } = surveyProgram(written.value, limits)
  if (isShown) made = drawing
  return accepted({ text: written.value, lines, seconds, bounds, burntLength, power, speed, findings: written.findings })
}

async function movesOf(file: File, { options }: HeldProgram): Promise<Outcome<Moves>> {
  const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
  if (!text.ok) return text
  const { moves, errorCount, findings } = readProgram(text.value, options)
  const [first] = findings.filter((it) => it.severity === 'error')
  if (errorCount === 0) return accepted(moves)
  const more = errorCount === 1 ? '' : ` and ${errorCount - 1} more`
  return refused(
    'other-unread',
    `“${file.name}”, line ${first?.line ?? 1}: ${first?.message ?? ''}${more} Open it by itself first, and put it right.`,
  )
}

function sent(drawings: readonly Drawn[], view: DrawingView): ImageBitmap {
  const bitmap = drawn(drawings, view)
  return Comlink.transfer(bitmap, [bitmap])
}

/** Dots that are drawn, at most. */
const MOST_DOTS = 3000

function dotsOf(steps: Iterable<Step>): RefitSummary['dots'] {
  let at = { x: 0, y: 0 }
  const dots: { x: number; y: number }[] = []
  for (const step of steps) {
    if ('x' in step) at = { x: step.x, y: step.y }
    else if (step.kind === 'dot' && dots.length < MOST_DOTS) dots.push(at)
  }
  return dots
}

Comlink.expose(api)
