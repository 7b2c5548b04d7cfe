import { guessedChoice, setAt, templateFact, type Choice, type Fact } from '../bench'
import type { Drive, Guides, Kinematics } from '../motion'
import type { MaterialId } from '../safety'
import { isUsualKind, usualPlugs, usualTasks, type BUILDS, type PlanTask, type UsualTask } from '../schedule'
import { benchFactSpec, type Bench } from './bench'
import { axisSettingsTemplate, axisTemplate } from './template'

/** What somebody wants to build, and for what; null where nothing was said. */
export interface Wish {
  readonly kinematics: Kinematics
  readonly build: keyof typeof BUILDS
  /** Of the largest work. */
  readonly width: Fact
  readonly depth: Fact
  /** Of the thickest work; null: sheet, which needs no Z axis. */
  readonly height: Fact | null
  readonly budget: Fact | null
  readonly materials: readonly MaterialId[]
  readonly rotary: boolean
  readonly portable: boolean
}

/** What the travel is wider than the largest work, mm: for the approach and the clamps (common practice). */
const ROUND_THE_WORK = 40
/** Speed that a router's screws reach by any usual step rate; belts keep what the template wants, mm/s (common practice). */
const SCREW_SPEED = 15
/** Room for the diameter of round work where nobody said how thick, mm (common practice). */
const ROUND_WORK = 80
/** Sheet up to this is followed by a gauge block; above it the head wants an axis of its own, mm (common practice). */
const SHEET = 10

/**
 * Sets a bench up from what is wanted: goals as they were said, everything that follows from them assumed with an honest
 * range, the usual tasks behind those that are there, each once. What somebody has stated or measured of the machine
 * stays, so that it can be set up again at any time.
 * What is planned is that of this machine: open tasks that are usual for another go.
 * @param newId Gives an id that was never used. @param at Instant, for a change-over: from here on what is written is put back. @returns The bench as it is then; the given one is not altered.
 * Source: common practice; every guess is marked as one.
 */
export function setUpBench(bench: Bench, wish: Wish, newId: () => string, at = ''): Bench {
  const withZ = needsZ(wish) ? withAxisZ(bench, newId) : bench
  const { motion, plan } = withZ
  const axes = Object.entries(motion.axes).map(([id, axis]) => [id, axisFor(axis, wish)] as const)
  const { kinematics, width, depth, height, budget } = wish
  const mirrors =
    kinematics === 'mirrors'
      ? {
          ...motion.mirrors,
          height: unlessKnown(motion.mirrors.height, assumed(heightOver(Math.max(sizeOf(width), sizeOf(depth))), 0.25)),
        }
      : motion.mirrors
  const goals = {
    workWidth: width,
    workDepth: depth,
    workHeight: height ?? plan.goals.workHeight,
    budget: budget ?? plan.goals.budget,
    rotary: answered(wish.rotary),
    portable: answered(wish.portable),
    materials: Object.fromEntries(wish.materials.map((id) => [id, true as const])),
  }
  const guides = guessedChoice<Guides>(kinematics === 'retrofit' ? 'rails' : 'wheels')
  const usual = usualTasks(kinematics, { rotary: wish.rotary, portable: wish.portable, kit: wish.build === 'kit' })
  const set = withTasks(
    {
      ...withoutOthers(withZ, usual),
      motion: {
        ...motion,
        kinematics: chosen(kinematics),
        axes: Object.fromEntries(axes),
        mirrors,
        wantedSpeed: unlessKnown(motion.wantedSpeed, speedFor(kinematics)),
        frame: { ...motion.frame, guides: unlessKnown(motion.frame.guides, guides) },
      },
      plan: { ...withoutOthers(withZ, usual).plan, build: chosen(wish.build), goals },
    },
    usual,
    newId,
  )
  return kinematics === 'retrofit' ? withChangeOver(set, newId, at) : set
}

/** Without open tasks that are usual for another machine; what is done, and what is one's own, stays. */
function withoutOthers(bench: Bench, usual: readonly UsualTask[]): Bench {
  const { tasks } = bench.plan
  const goes = ({ kind, done }: PlanTask): boolean => done === '' && isUsualKind(kind) && !usual.some((it) => it.key === kind)
  const gone = new Set(Object.keys(tasks).filter((id) => tasks[id] !== undefined && goes(tasks[id])))
  const kept = Object.entries(tasks)
    .filter(([id]) => !gone.has(id))
    .map(([id, it]) => [id, { ...it, needs: Object.fromEntries(Object.entries(it.needs).filter(([need]) => !gone.has(need))) }])
  return setAt(bench, 'plan.tasks', Object.fromEntries(kept))
}

/** A change-over has its plugs, and the moment from which on what is written into the machine is put back. */
export function withChangeOver(bench: Bench, newId: () => string, at: string): Bench {
  const { plan } = bench
  const plugs =
    Object.keys(plan.plugs).length > 0
      ? plan.plugs
      : Object.fromEntries(usualPlugs().map((it, i) => [newId(), { order: i + 1, ...it }]))
  return { ...bench, plan: { ...plan, plugs, changeOver: plan.changeOver === '' ? at : plan.changeOver } }
}

/** Adds tasks behind those that are there, but such as are there already; each waits for what it is usual to wait for. */
export function withTasks(bench: Bench, usual: readonly UsualTask[], newId: () => string): Bench {
  const there = new Map(Object.entries(bench.plan.tasks).map(([id, it]) => [it.name, id]))
  const ids = new Map(usual.map((it) => [it.key, there.get(it.name) ?? newId()]))
  const first = Math.max(0, ...Object.values(bench.plan.tasks).map((it) => it.order))
  const missing = usual.filter((it) => !there.has(it.name))
  const made = missing.map(({ key, needs, ...task }, i): [string, PlanTask] => [
    ids.get(key) ?? key,
    {
      ...task,
      order: first + i + 1,
      needs: Object.fromEntries(needs.flatMap((it) => (ids.has(it) ? [[ids.get(it) ?? it, true as const]] : []))),
      parts: {},
      notBefore: '',
      begun: '',
      done: '',
      kind: key,
    },
  ])
  return setAt(bench, 'plan.tasks', { ...bench.plan.tasks, ...Object.fromEntries(made) })
}

/** Two mirrors stand twice the field above it, so that the beam leans by less than 15°; within what a column can be, mm. */
function heightOver(field: number): number {
  return Math.min(Math.max(2 * field, 50), 2400)
}

function needsZ({ height, rotary, kinematics }: Wish): boolean {
  return kinematics !== 'mirrors' && (rotary || sizeOf(height) > SHEET)
}

function withAxisZ(bench: Bench, newId: () => string): Bench {
  if (Object.values(bench.motion.axes).some((it) => it.letter === 'Z')) return bench
  const id = newId()
  return setAt(setAt(bench, `motion.axes.${id}`, axisTemplate('Z', 3)), `controller.axes.${id}`, axisSettingsTemplate())
}

type Axis = Bench['motion']['axes'][string]

function axisFor(axis: Axis, wish: Wish): Axis {
  const { kinematics, width, depth, height, rotary } = wish
  if (axis.letter === 'Z') {
    const thick = Math.max(sizeOf(height), rotary ? ROUND_WORK : 0)
    return { ...axis, travel: unlessKnown(axis.travel, travelFor(thick)) }
  }
  const motors = axis.letter === 'Y' && kinematics === 'gantry' ? 2 : 1
  const work = sizeOf(axis.letter === 'X' ? width : depth)
  return {
    ...axis,
    drive: unlessKnown(axis.drive, guessedChoice<Drive>(kinematics === 'retrofit' ? 'screw' : 'belt')),
    motors: unlessKnown(axis.motors, { ...axis.motors, value: motors, typed: String(motors) }),
    // The field of two mirrors is the work itself: nothing is approached and nothing clamped inside of it.
    travel: unlessKnown(axis.travel, kinematics === 'mirrors' ? assumed(work, 0.1) : travelFor(work)),
  }
}

/** What is hoped for as long as nobody has said: what the screws of a router reach, else what the template hopes for. */
function speedFor(kinematics: Kinematics): Fact {
  const spec = benchFactSpec('motion.wantedSpeed')
  if (kinematics !== 'retrofit' && spec !== undefined) return templateFact(spec)
  return { ...assumed(SCREW_SPEED, 0), typedUnit: 'mm/s', doubt: { kind: 'exact' } }
}

/** A guess, but where somebody has said or measured it. */
function unlessKnown<T extends Fact | Choice>(there: T, guess: T): T {
  return there.origin === 'assumed' ? guess : there
}

function travelFor(work: number): Fact {
  const value = Math.ceil((work + ROUND_THE_WORK) / 5) * 5
  return { value, typed: String(value), typedUnit: 'mm', origin: 'assumed', doubt: { kind: 'halfWidth', a: 10 } }
}

function assumed(value: number, share: number): Fact {
  const rounded = Math.round(value)
  return {
    value: rounded,
    typed: String(rounded),
    typedUnit: 'mm',
    origin: 'assumed',
    doubt: { kind: 'halfWidth', a: rounded * share },
  }
}

/** mm; 0 where nothing was said. */
function sizeOf(fact: Fact | null): number {
  return fact?.value ?? 0
}

function chosen<C extends string>(it: C): Choice<C> {
  return { ...guessedChoice(it), origin: 'stated' }
}

function answered(yes: boolean): Choice<'yes' | 'no'> {
  return chosen(yes ? 'yes' : 'no')
}
