import {
  eachFact,
  isChoice,
  isFact,
  type Act,
  type Consequence,
  type Engine,
  type Next,
  type NextPlace,
  type Path,
  type Verdict,
} from '../bench'
import type { UnitSystem } from '../units'
import type { Bench } from './bench'
import { hasField, labelAt, placeOf } from './places'
import { STAGE_IDS } from './stages'
import { wordingOf } from './wording'

/** Why something is to be done: it must not go on so, it is spoilt, it settles what is open, it can be begun, it is late, it could be better, nobody has begun with it. */
export type TodoKind = 'stop' | 'begin' | 'redo' | 'settle' | 'task' | 'due' | 'mend' | 'open'

/** One thing to do next: a sentence, the place where it is done, and why. */
export interface Todo {
  readonly kind: TodoKind
  /** What to do, without a full stop. */
  readonly words: string
  readonly why: string
  readonly at: Place
}

type Place = NextPlace

/** A task of the plan that can be begun, in the plan's order. */
export interface Beginnable {
  readonly name: string
  /** What is said of it: how long, until when. */
  readonly words: string
}

export interface Seen {
  readonly verdicts: readonly Verdict[]
  readonly consequences: readonly Consequence[]
  readonly tasks: readonly Beginnable[]
  /** `YYYY-MM-DD`, for what is late. */
  readonly today: string
}

/** Tasks and spoilt records that are named; the rest stands where they are kept. */
const NAMED = 3

/**
 * What to do next over the whole bench, in the order that settles most: what must not be done, what is spoilt, what
 * measured settles most of what is open, what the plan lets begin, what is late, what could be better. One line stands for
 * all that one piece of work settles; a verdict that follows from another bad one is left out.
 */
export function whatNext(engine: Engine<Bench>, seen: Seen, system: UnitSystem): readonly Todo[] {
  const { bench } = engine
  const verdicts = withoutFollowers(seen.verdicts)
  const marked = (mark: 'stop' | 'look'): readonly Verdict[] => verdicts.filter((it) => it.mark === mark)
  return [
    ...mending(engine, marked('stop'), system, 'stop'),
    ...(isUntouched(bench) ? [BEGIN] : []),
    ...redoing(bench, seen.consequences),
    ...settling(
      engine,
      verdicts.filter((it) => it.reads === 'unknown'),
      system,
    ),
    ...seen.tasks.slice(0, NAMED).map(taskTodo),
    ...turning(bench),
    ...late(bench, seen.today),
    ...mending(engine, [...marked('look'), ...verdicts.filter(isElsewise)], system, 'mend'),
    ...(isUntouched(bench) ? [] : [...housed(bench), ...breathing(bench), ...peopled(bench), ...lookedAfter(bench)]),
  ]
}

const BEGIN: Todo = {
  kind: 'begin',
  words: 'Say what you build, how large, and what it is to burn',
  why: 'A first plan follows from it, and guesses that fit the machine; everything stays open to change.',
  at: { part: 'plan/build' },
}

/** Round things are wanted, and none was told of. */
function turning({ plan, rotary }: Bench): readonly Todo[] {
  if (plan.goals.rotary.chosen !== 'yes' || Object.keys(rotary.objects).length > 0) return []
  return [
    {
      kind: 'begin',
      words: 'Say what is to be turned, by its diameters',
      why: 'How it is held, whether it goes in under the head, and how far it stays in focus follow from it.',
      at: { part: 'rotary/object' },
    },
  ]
}

/** A box is to be built, and nobody has said what must go in. */
function housed({ housing }: Bench): readonly Todo[] {
  const { needs, size } = housing
  if ([needs.machineX, needs.machineY, needs.machineZ, size.x, size.y, size.z].some((it) => it.value !== null)) return []
  return [
    {
      kind: 'open',
      words: 'Measure the machine with its head at every end, for its box',
      why: 'How large the box is, its panels and sheets, and whether the beam can look out follow from it.',
      at: { part: 'housing/box' },
    },
  ]
}

/** Nobody has said how the smoke is caught. */
function breathing({ air }: Bench): readonly Todo[] {
  if (Object.keys(air.ways).length > 0) return []
  return [
    {
      kind: 'open',
      words: 'Say how the smoke is caught, and lay its way out',
      why: 'Whether it leaves, where fresh air comes in, and which fan is strong enough follow from it.',
      at: { part: 'air/duct' },
    },
  ]
}

/** Nobody has said who can be in the room. */
function peopled({ reach, optics }: Bench): readonly Todo[] {
  if (optics.power.value === null || Object.keys(reach.places).length > 0) return []
  return [
    {
      kind: 'open',
      words: 'Say where in the room eyes can be: seat, door, way past, pane',
      why: 'How far the beam is above the limits is worked already; who stands within it is not known.',
      at: { part: 'safety/reach' },
    },
  ]
}

/** It runs, and nothing of it is looked after. */
function lookedAfter({ log, calibrate }: Bench): readonly Todo[] {
  if (calibrate.hours.value === null || Object.keys(log.upkeep).length > 0) return []
  return [
    {
      kind: 'open',
      words: 'Say what is looked after, and how often: lens, rails, belts, filter',
      why: 'The usual things are added with one key; what is due then stands here.',
      at: { part: 'log/upkeep' },
    },
  ]
}

/** Nothing was entered or planned yet. */
function isUntouched(bench: Bench): boolean {
  const { tasks, parts } = bench.plan
  if (Object.keys(tasks).length + Object.keys(parts).length > 0) return false
  let untouched = true
  eachFact(bench, (_, node) => {
    if ((isFact(node) || isChoice(node)) && node.origin !== 'assumed') untouched = false
  })
  return untouched
}

function withoutFollowers(verdicts: readonly Verdict[]): readonly Verdict[] {
  const key = (id: string, args: readonly string[]): string => `${id}|${args.join('|')}`
  const bad = new Set(verdicts.filter((it) => it.mark !== 'good').map((it) => key(it.def.id, it.args)))
  return verdicts.filter(({ def, args }) => def.follows === undefined || !bad.has(key(def.follows, args)))
}

/** Not known, though nothing is missing: it waits for something else that its own sentence names. */
function isElsewise({ unknown }: Verdict): boolean {
  return unknown !== null && unknown.kind !== 'missing'
}

/** Verdicts that are mended by the same thing are one line. */
function mending(
  engine: Engine<Bench>,
  verdicts: readonly Verdict[],
  system: UnitSystem,
  kind: 'stop' | 'mend',
): readonly Todo[] {
  const groups = new Map<string, { readonly heads: string[]; readonly whys: string[]; readonly nexts: Next[]; act: Act | null }>()
  for (const verdict of verdicts) {
    const { head, why, ...said } = wordingOf(engine, verdict, system)
    // What names no step of its own is looked at on its stage: a stop that is counted is never missing from the list.
    const next: Next = said.next ?? { words: head, part: verdict.def.stage }
    const act = 'path' in next ? (placeOf(next.path)?.act ?? null) : null
    const key = act?.id ?? next.words
    const group = groups.get(key) ?? { heads: [], whys: [], nexts: [], act }
    groups.set(key, group)
    group.heads.push(head)
    group.whys.push(why)
    group.nexts.push(next)
  }
  return [...groups.values()].flatMap(({ heads, whys, nexts, act }): readonly Todo[] => {
    const [first] = nexts
    if (first === undefined) return []
    const same = nexts.every((it) => it.words === first.words)
    const why = heads.length === 1 ? sentence(heads[0] ?? '', whys[0] ?? '') : `${[...new Set(heads)].join('. ')}.`
    return [{ kind, words: same || act === null ? first.words : act.words, why, at: placeOfNext(first) }]
  })
}

function placeOfNext(next: Next): Place {
  if ('path' in next) return { path: next.path }
  return next.thing === undefined ? { part: next.part } : { part: next.part, thing: next.thing }
}

function sentence(head: string, why: string): string {
  return `${head}${/[?.!]$/.test(head) ? '' : '.'} ${why}`
}

/** Spoilt records in the order in which to redo them; those with the same thing to redo are one. */
function redoing(bench: Bench, consequences: readonly Consequence[]): readonly Todo[] {
  const stale = consequences.filter((it) => it.freshness === 'stale')
  const found = new Map<string, Todo>()
  for (const { record, touched, because } of stale) {
    const words = record.redo === '' ? `See to “${record.title}”` : record.redo.replace(/\.$/, '')
    if (found.has(words)) continue
    const moved = [...new Set(touched.map(({ path }) => lowerFirst(labelAt(bench, path))))]
    const on = moved.length > 0 ? moved.slice(0, 2).join(' and ') : because.length > 0 ? `“${because[0] ?? ''}”` : 'what was then'
    const why = `“${record.title}” of ${record.at.slice(0, 10)} rested on ${on}, which is another now.`
    found.set(words, { kind: 'redo', words, why, at: { part: record.stage } })
  }
  const all = [...found.values()]
  const more = all.length - NAMED
  const rest: readonly Todo[] =
    more > 0
      ? [
          {
            kind: 'redo',
            words: `Then redo ${more} more`,
            why: 'They are listed in their order beside each stage.',
            at: all[NAMED]?.at ?? { part: 'motion' },
          },
        ]
      : []
  return [...all.slice(0, NAMED), ...rest]
}

interface Work {
  readonly words: string
  readonly beam: boolean
  weight: number
  /** What each fact of it brings, so that the link leads to the one that brings most. */
  readonly facts: Map<Path, number>
  readonly heads: Set<string>
}

/** Pieces of work that settle what is open: those that settle most first, and what needs the beam behind the rest. */
function settling(engine: Engine<Bench>, open: readonly Verdict[], system: UnitSystem): readonly Todo[] {
  const { bench } = engine
  const works = new Map<string, Work>()
  const credit = (path: Path, weight: number, head: string | null): void => {
    const place = placeOf(path)
    if (place === null || !hasField(bench, path)) return
    const key = place.act?.id ?? path
    const words = place.act?.words ?? `Enter the ${lowerFirst(labelAt(bench, path))}`
    const work = works.get(key) ?? {
      words,
      beam: place.act?.beam === true,
      weight: 0,
      facts: new Map<Path, number>(),
      heads: new Set<string>(),
    }
    works.set(key, work)
    work.weight += weight
    work.facts.set(path, (work.facts.get(path) ?? 0) + weight)
    if (head !== null) work.heads.add(head)
  }
  for (const verdict of open) {
    const { head } = wordingOf(engine, verdict, system)
    for (const [path, share] of blurring(verdict)) credit(path, share, head)
  }
  eachFact(bench, (path, node) => {
    const isBlank = isFact(node) && node.value === null
    if (isBlank && placeOf(path)?.cell != null) credit(path, ON_THE_NAMEPLATE, null)
  })
  return [...works.values()]
    .filter((it) => it.weight >= LEAST)
    .sort((p, q) => Number(p.beam) - Number(q.beam) || q.weight - p.weight || routeOf(p) - routeOf(q))
    .map((work) => ({ kind: 'settle', words: work.words, why: settles(work), at: { path: mostOf(work.facts) } }))
}

/** What a blank on the nameplate weighs against a verdict that cannot be given. */
const ON_THE_NAMEPLATE = 0.5
/** Work that settles less than this of one open verdict is not worth a line. */
const LEAST = 0.1

/** Facts that stand in the way of a verdict, each with its share: missing ones alike, else by what they blur. */
function blurring({ margin, unknown }: Verdict): readonly (readonly [Path, number])[] {
  if (unknown !== null) return unknown.kind === 'missing' ? unknown.facts.map((path) => [path, 1 / unknown.facts.length]) : []
  const contributions = margin.doubt?.contributions.filter(({ c }) => c > 0) ?? []
  const total = contributions.reduce((sum, { c }) => sum + c * c, 0)
  return contributions.map(({ path, c }) => [path, (c * c) / total])
}

function settles({ heads }: Work): string {
  const all = [...heads]
  if (all.length === 0) return 'It stands on the nameplate, and much rests on it.'
  const named = all.slice(0, NAMED).map((it) => (/[?.!]$/.test(it) ? it : `${it}?`))
  const more = all.length - named.length
  return `Open until then: ${named.join(' ')}${more > 0 ? ` And ${more} more.` : ''}`
}

function mostOf(facts: ReadonlyMap<Path, number>): Path {
  return [...facts].reduce((most, it) => (it[1] > most[1] ? it : most))[0]
}

function routeOf({ facts }: Work): number {
  return STAGE_IDS.indexOf((placeOf(mostOf(facts))?.stage ?? '') as (typeof STAGE_IDS)[number])
}

function taskTodo({ name, words }: Beginnable): Todo {
  return { kind: 'task', words: name, why: `The plan: ${words}.`, at: { part: 'plan/bench' } }
}

/** Parcels that should have come by now. */
function late({ plan }: Bench, today: string): readonly Todo[] {
  const due = Object.values(plan.parts).filter((it) => it.state === 'ordered' && it.arrives !== '' && it.arrives < today)
  if (due.length === 0) return []
  const named = due.slice(0, 2).map((it) => `“${it.name}”`)
  const more = due.length - named.length
  const which = `${named.join(' and ')}${more > 0 ? ` and ${more} more` : ''}`
  return [
    {
      kind: 'due',
      words: `Ask after ${which}, or tick ${due.length === 1 ? 'it' : 'them'} off as here`,
      why: `By the parts list ${due.length === 1 ? 'it was' : 'they were'} to come before today; what waits for it is planned as if it had.`,
      at: { part: 'plan/parts' },
    },
  ]
}

function lowerFirst(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1)
}
