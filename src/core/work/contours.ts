import { areaOf, flattened, lengthOf, type Point } from '../artwork'
import type { Finding } from '../units'
import { beamWay, type Polygons } from './kerf'
import { forestOf, type Ring } from './rings'
import type { OutlineTask } from './task'

/** Something the beam follows: a ring, or a line with two ends. */
export interface Contour {
  readonly task: OutlineTask
  readonly places: Ring
  readonly isClosed: boolean
  /** Where what falls away lies: +1 outside, −1 inside, 0 nowhere. */
  readonly scrap: -1 | 0 | 1
  /** The ring as it is drawn, for what lies in what. */
  readonly drawn: Ring
}

/** Outlines shorter than this are nothing, mm. */
const NOTHING = 1e-4
/** A part smaller than this flies away in the air of the nozzle, mm² (common practice). */
const LIGHT = 60

/**
 * What the beam follows of some tasks that are lines: kerf to the side of what falls away, doubles and nothings left out.
 * @param kerf mm. @param within How near chords keep, mm. @returns Contours in the order of the tasks, and what was found.
 * @throws {RangeError} where the tolerance is not more than 0. Valid: tasks of the machine's own mm.
 * Source: whole-kerf rule (handbook of the trade).
 */
export function contoursOf(tasks: readonly OutlineTask[], kerf: number, polygons: Polygons, within: number) {
  const findings: Finding[] = []
  const contours: Contour[] = []
  for (const [, them] of grouped(tasks)) {
    const drawn = them.flatMap((task) => drawnOf(task, within, findings))
    const kept = withoutDoubles(drawn, findings)
    const cut = kept.filter((it) => it.isClosed && it.task.does === 'cut')
    contours.push(...followed(cut, kerf, polygons, within, findings))
    const others = kept.filter((it) => !cut.includes(it))
    contours.push(...others.map((it) => ({ ...it, scrap: 0 as const, drawn: it.places })))
  }
  return { contours, findings }
}

function grouped(tasks: readonly OutlineTask[]): ReadonlyMap<string, readonly OutlineTask[]> {
  const groups = new Map<string, OutlineTask[]>()
  for (const task of tasks) groups.set(task.copy, [...(groups.get(task.copy) ?? []), task])
  return groups
}

interface Drawn {
  readonly task: OutlineTask
  readonly places: Ring
  readonly isClosed: boolean
}

function drawnOf(task: OutlineTask, within: number, findings: Finding[]): readonly Drawn[] {
  const all = task.outlines.map((outline) => {
    const places = flattened(outline, within)
    const [start, end] = [places[0] as Point, places.at(-1) as Point]
    return { task, places, isClosed: outline.isClosed || (places.length > 3 && start.x === end.x && start.y === end.y) }
  })
  const kept = all.filter((it) => lengthOf(it.places) > NOTHING)
  if (kept.length < all.length)
    say(
      findings,
      'no-length',
      'warning',
      task,
      `${count(all.length - kept.length, 'outline has', 'outlines have')} no length and left out`,
    )
  const open = kept.filter((it) => !it.isClosed).length
  if (task.does === 'cut' && open > 0) {
    const what = count(open, 'outline that is cut is open', 'outlines that are cut are open')
    say(
      findings,
      'open-cut',
      'warning',
      task,
      `${what}: nothing falls out there, and the kerf is not counted. Close them in the tool that drew them, if a part is meant`,
    )
  }
  return kept
}

function say(findings: Finding[], code: string, severity: Finding['severity'], task: OutlineTask, what: string): void {
  findings.push({ code, severity, message: `${task.of}: ${what}.` })
}

function count(n: number, one: string, more: string): string {
  return `${n} ${n === 1 ? one : more}`
}

/** Leaves out what is drawn twice on the same place, and says so. */
function withoutDoubles(drawn: readonly Drawn[], findings: Finding[]): readonly Drawn[] {
  const seen = new Map<string, Drawn>()
  let doubles = 0
  for (const it of drawn) {
    const key = `${it.task.does} ${keyOf(it)}`
    if (seen.has(key)) doubles++
    else seen.set(key, it)
  }
  const [first] = drawn
  if (doubles > 0 && first !== undefined) {
    const what = count(doubles, 'outline lies', 'outlines lie')
    say(findings, 'doubles', 'warning', first.task, `${what} on top of another one, and would be burnt twice: left out`)
  }
  return [...seen.values()]
}

/**
 * The same for outlines that go through the same places in the same order, whatever their sense and, of rings, their beginning:
 * a Z and an N have the same corners and are two lines.
 */
function keyOf({ places, isClosed }: Drawn): string {
  const words = places
    .map(({ x, y }) => `${Math.round(x * 100)},${Math.round(y * 100)}`)
    .filter((it, k, all) => it !== all[k - 1])
  if (isClosed && words.length > 1 && words.at(-1) === words[0]) words.pop()
  const back = [...words].reverse()
  const [first = ''] = (isClosed ? [leastTurn(words), leastTurn(back)] : [words, back]).map((it) => it.join(' ')).sort()
  return `${isClosed ? 'ring' : 'line'} ${first}`
}

/** A ring from the beginning whose words come first of all; in a time that grows with its length. Source: Shiloach (1981, from memory). */
function leastTurn(words: readonly string[]): readonly string[] {
  const n = words.length
  const at = (k: number): string => words[k % n] ?? ''
  let [i, j, same] = [0, 1, 0]
  while (i < n && j < n && same < n) {
    const [p, q] = [at(i + same), at(j + same)]
    if (p === q) {
      same++
      continue
    }
    if (p > q) i += same + 1
    else j += same + 1
    if (i === j) j++
    same = 0
  }
  const from = Math.min(i, j)
  return [...words.slice(from), ...words.slice(0, from)]
}

function followed(
  cut: readonly Drawn[],
  kerf: number,
  polygons: Polygons,
  within: number,
  findings: Finding[],
): readonly Contour[] {
  const rings = cut.map((it) => it.places)
  const forest = forestOf(rings)
  const all = cut.map(({ task }, of) => {
    const depth = forest.depths[of] as number
    const isHole = depth % 2 === 1
    const own = { parents: [-1], depths: [depth] }
    const { ways, lost } = beamWay([rings[of] as Ring], own, kerf, task.side, polygons, within)
    if (lost.length > 0)
      say(findings, 'narrow', 'warning', task, 'an opening is narrower than the kerf and would vanish: it is left out')
    const area = Math.abs(areaOf(rings[of] as Ring))
    const falls = task.tabs === 0 && area < LIGHT && !isHole
    const scrap = task.side === 'line' ? 0 : task.side === 'outside' ? 1 : task.side === 'inside' ? -1 : isHole ? -1 : 1
    return {
      task,
      falls,
      contours: ways.map(({ ring }): Contour => ({ task, places: ring, isClosed: true, scrap, drawn: rings[of] as Ring })),
    }
  })
  const light = all.filter((it) => it.falls)
  const [first] = light
  if (first !== undefined) {
    const what = count(light.length, 'part is', 'parts are')
    say(
      findings,
      'light',
      'warning',
      first.task,
      `${what} so small that the air may take it: give it a tab, or lay a grid beneath`,
    )
  }
  return all.flatMap((it) => it.contours)
}
