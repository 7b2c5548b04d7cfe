import { setAt } from '../core/bench'
import { sameListed, type Answer } from '../core/controller'
import { axisOfRotary, rotarySettings, type Bench, type RotarySetting } from '../core/document'
import type { Finding } from '../core/units'
import { editBench, useBenchStore, withoutHistory } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { askMachine, setInMachine } from './machine'
import { isDone, NO_BENCH, told, type Told } from './told'

type Texts = Readonly<Record<string, string>>

/** What keeps the rotary from taking an axis’ place; null where nothing does. */
export function whyNotSwapped(bench: Bench): string | null {
  if (bench.rotary.objects[bench.rotary.inHand] === undefined) return 'Say first what is to be turned.'
  if (axisOfRotary(bench) === null)
    return bench.rotary.turn.standsFor.chosen === 'own'
      ? 'The rotary is an axis of its own: it takes the place of none.'
      : 'This machine has no axis of that letter: say on “Turning” how the rotary is driven.'
  const missing = rotarySettings(engineOf(bench)).find((it) => it.wanted === null)
  return missing === undefined
    ? null
    : `The rotary’s ${missing.setting.kind} are not known yet: measure the object and its drive.`
}

/** Writes the rotary’s settings in the place of its axis, keeps what was there, and reads it back. @returns What stood in the way. */
export async function swapIn(): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const why = whyNotSwapped(bench)
  if (why !== null) return told(why)
  const list = await askMachine('settings')
  if (!list.ok) return [list.finding]
  const all = rotarySettings(engineOf(bench))
  // For another object what was there first stays what is put back.
  const before = bench.rotary.swap.axis === '' ? textsOf(all, list) : bench.rotary.swap.before
  const unlisted = all.find((it) => before[it.setting.id] === undefined)
  if (unlisted !== undefined)
    return told(
      `The machine lists no “${unlisted.key}”: say on Controller which key ${unlisted.setting.label} has. Nothing was written.`,
    )
  const wanted = Object.fromEntries(all.map((it) => [it.setting.id, it.wanted ?? '']))
  // What was there is kept before anything goes out, so that the way back is never lost.
  const kept = setSwap(swapOf(bench, before, wanted))
  if (!isDone(kept)) return kept
  const found = await written(all, wanted)
  const recorded = await record(`The rotary in the place of ${letterOf(bench)}`, all, before, wanted, found)
  return [...found, ...recorded]
}

/** Writes back what was there before the rotary, and reads it again: only what reads back is proof. @returns What stood in the way. */
export async function putBack(): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const { swap } = bench.rotary
  if (swap.axis === '') return told('The rotary stands in no axis’ place.')
  const all = rotarySettings(engineOf(bench))
  const found = await written(all, swap.before)
  if (!found.some((it) => it.severity === 'error')) {
    const edited = setSwap(NO_SWAP)
    if (!isDone(edited)) return edited
  }
  const recorded = await record(`${letterOf(bench)} put back after the rotary`, all, swap.during, swap.before, found)
  return [...found, ...recorded]
}

/** The rotary’s settings as typed into the machine by hand. @returns What stands in the way. */
export async function swapByHand(): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const why = whyNotSwapped(bench)
  if (why !== null) return told(why)
  const all = rotarySettings(engineOf(bench))
  const unread = all.find((it) => it.before === null)
  if (unread !== undefined)
    return told(
      `${unread.setting.label} in the machine is not known: read or type its settings on Controller first, for the way back.`,
    )
  const before = Object.fromEntries(all.map((it) => [it.setting.id, it.before ?? '']))
  const wanted = Object.fromEntries(all.map((it) => [it.setting.id, it.wanted ?? '']))
  const kept = setSwap(swapOf(bench, before, wanted))
  return isDone(kept) ? record(`The rotary in the place of ${letterOf(bench)}`, all, before, wanted, null) : kept
}

/** The axis’ own settings as typed back by hand. @returns What stands in the way. */
export async function putBackByHand(): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const { swap } = bench.rotary
  const all = rotarySettings(engineOf(bench))
  const letter = letterOf(bench)
  const edited = setSwap(NO_SWAP)
  return isDone(edited) ? record(`${letter} put back after the rotary`, all, swap.during, swap.before, null) : edited
}

function swapOf(bench: Bench, before: Texts, during: Texts): Bench['rotary']['swap'] {
  return { axis: axisOfRotary(bench) ?? '', at: new Date().toISOString(), before, during }
}

const NO_SWAP: Bench['rotary']['swap'] = { axis: '', at: '', before: {}, during: {} }

/** Says what stands in the machine: no step of undo, for the machine is not undone with it. */
function setSwap(swap: Bench['rotary']['swap']): Told {
  return withoutHistory(() => editBench('the rotary in an axis’ place', (it) => setAt(it, 'rotary.swap', swap)))
}

function letterOf({ motion, rotary }: Bench): string {
  const id = rotary.swap.axis
  const wanted = { x: 'X', y: 'Y', own: '' }[rotary.turn.standsFor.chosen ?? 'own']
  return id === '' ? wanted : (motion.axes[id]?.letter ?? '')
}

/** What the machine lists of some settings; what it does not list is left out. */
function textsOf(all: readonly RotarySetting[], list: Extract<Answer, { ok: true }>): Texts {
  return Object.fromEntries(
    all.flatMap(({ setting, key }) => {
      const text = list.items.get(key)
      return text === undefined ? [] : [[setting.id, text]]
    }),
  )
}

/** Sets settings line by line and reads the list again. @returns A finding for each that does not read back. */
async function written(all: readonly RotarySetting[], texts: Texts): Promise<readonly Finding[]> {
  const found: Finding[] = []
  for (const { setting, key } of all) {
    const answer = await setInMachine(key, texts[setting.id] ?? '')
    if (answer.ok) continue
    found.push(answer.finding)
    if (answer.finding.code !== 'refused') return found
  }
  const list = await askMachine('settings')
  if (!list.ok) return [...found, list.finding]
  const now = textsOf(all, list)
  return [
    ...found,
    ...all
      .filter(({ setting }) => !sameListed(now[setting.id] ?? '', texts[setting.id] ?? ''))
      .map(({ setting, key }): Finding => ({
        code: 'not confirmed',
        severity: 'error',
        message: `${setting.label}: “${key}” was to be ${texts[setting.id] ?? ''} and is ${now[setting.id] ?? 'not listed'}. Set it by hand, and read again before anything is burnt.`,
      })),
  ]
}

/** Writes down what went in and what came out. @param found What did not read back; null: typed by hand. */
function record(
  title: string,
  all: readonly RotarySetting[],
  old: Texts,
  wanted: Texts,
  found: readonly Finding[] | null,
): Promise<Told> {
  const lines = all.map(({ setting }) => `${setting.label}: ${old[setting.id] ?? '–'} → ${wanted[setting.id] ?? '–'}`)
  const how =
    found === null
      ? 'Typed by hand.'
      : found.length === 0
        ? 'All of it reads back.'
        : `Not all of it reads back: ${found.length} left.`
  return keepRecord({ stage: 'rotary', title, note: `${lines.join('; ')}. ${how}`, redo: '', beneath: [] }, [], [])
}
