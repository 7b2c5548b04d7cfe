import { placeOf } from '../core/document'
import { create } from 'zustand'
import type { Path } from '../core/bench'
import type { Entry } from '../core/bench'

/** What was typed into a field and not accepted: kept until it is, or until it is thrown away. */
export type Draft = Pick<Entry, 'typed' | 'origin'> & {
  readonly doubtTyped: string
  readonly instrumentId: string
  readonly day: string
}

/** What was noted of a step at the bench before it is done. */
export interface StepDraft {
  readonly note: string
  readonly pictures: readonly File[]
}

/** What is open, pointed at and half typed. Nothing of it is saved with the bench. */
interface Session {
  /** The field whose editor is open; a fact may stand in several places. */
  readonly editing: { readonly path: Path; readonly place: string } | null
  readonly drafts: Readonly<Record<Path, Draft>>
  /** Axis whose drive is brought out. */
  readonly axisId: string | null
  /** The part that was last open, of each stage: the route leads back to it. */
  readonly lastParts: Readonly<Record<string, string>>
  /** The instrument that was last used for each quantity: it is proposed for the next reading. */
  readonly lastTools: Readonly<Record<string, string>>
  /** The step that was chosen at the bench; null: the first that can be done. */
  readonly stepId: string | null
  readonly stepDrafts: Readonly<Record<string, StepDraft>>
  /** The scale run that is looked at; null: the newest. */
  readonly runId: string | null
  /** The material of the book that is looked at. */
  readonly materialId: string | null
  /** The test card that is looked at; null: the newest. */
  readonly cardId: string | null
  /** A machine's list of settings that was pasted and is not taken yet. */
  readonly pastedListing: string
  /** The block of the wiring that is brought out; null: the first. */
  readonly blockId: string | null
  /** The reading that the plate brings out. */
  readonly pointedReading: string | null
  /** Axis the pointer rests on. */
  readonly pointedAxis: string | null
  /** Where the head stands in the picture, mm from the origin; null until it is moved: the middle of its travel. */
  readonly head: { readonly x: number; readonly y: number } | null
  /** The way the head last went in the picture, and where it was counted from; null until it is moved. */
  readonly headWay: { readonly x: number; readonly y: number } | null
  readonly headFrom: { readonly x: number; readonly y: number } | null
  readonly nameplate: string | null
  readonly palette: boolean
  readonly shortcuts: boolean
  /** The cautions before a burn: asked for once a session. */
  readonly cautions: 'not asked' | 'asking' | 'taken'
  /** Those that are ticked so far: they stay ticked while something that they ask for is entered. */
  readonly cautionsTicked: readonly string[]
  /** Steps of the round that were taken on against a stop of harm; another one is asked for anew. */
  readonly harmTaken: readonly string[]
  /** When the watch after a burn ends, ms since 1970; null: none is kept. */
  readonly watchUntil: number | null
  /** Where the burn was asked for, while something is entered that the cautions ask for: the way back. */
  readonly burnFrom: string | null
  /** Whether anything has been said in passing yet. */
  readonly notices: boolean
}

export const useSession = create<Session>()(() => ({
  editing: null,
  drafts: {},
  axisId: null,
  lastParts: {},
  lastTools: {},
  stepId: null,
  stepDrafts: {},
  runId: null,
  materialId: null,
  cardId: null,
  pastedListing: '',
  blockId: null,
  pointedReading: null,
  pointedAxis: null,
  head: null,
  headWay: null,
  headFrom: null,
  nameplate: null,
  palette: false,
  shortcuts: false,
  cautions: 'not asked',
  cautionsTicked: [],
  harmTaken: [],
  watchUntil: null,
  burnFrom: null,
  notices: false,
}))

/** A shorter way is a hand's tremble, mm. */
const SAME_PLACE = 8

/** Moves the head of the picture, and remembers which way it went. @param drawn Where it stood before, as it was drawn. */
export function moveHead(
  head: { readonly x: number; readonly y: number },
  drawn: { readonly x: number; readonly y: number },
): void {
  useSession.setState(({ headFrom, headWay }) => {
    const from = headFrom ?? drawn
    const [x, y] = [head.x - from.x, head.y - from.y]
    return Math.hypot(x, y) < SAME_PLACE ? { head, headFrom: from, headWay } : { head, headFrom: head, headWay: { x, y } }
  })
}

/** Opens the editor of a fact, in the place asked for. */
export function startEditing(path: Path, place = 'given'): void {
  useSession.setState({ editing: { path, place } })
}

export function stopEditing(): void {
  useSession.setState({ editing: null })
}

/** Keeps what is half typed. */
export function keepDraft(path: Path, draft: Draft): void {
  useSession.setState(({ drafts }) => ({ drafts: { ...drafts, [path]: draft } }))
}

/** What was half typed on other benches, and survives that the page is loaded anew. */
const DRAFTS = 'fine-kerf.drafts'

function keptDrafts(): Record<string, Session['drafts']> {
  try {
    return JSON.parse(sessionStorage.getItem(DRAFTS) ?? '{}') as Record<string, Session['drafts']>
  } catch {
    return {}
  }
}

function storeDrafts(benchId: string, drafts: Session['drafts']): void {
  try {
    const rest = Object.fromEntries(Object.entries(keptDrafts()).filter(([id]) => id !== benchId))
    const all = Object.keys(drafts).length === 0 ? rest : { ...rest, [benchId]: drafts }
    sessionStorage.setItem(DRAFTS, JSON.stringify(all))
  } catch {
    // Without that store what is half typed lasts as long as the page.
  }
}

/** What is half typed stays with its bench: puts away that of the bench that is left and takes out that of the other. */
export function swapDrafts(left: string | null, opened: string): void {
  if (left === opened) return
  if (left !== null) storeDrafts(left, useSession.getState().drafts)
  draftsOf = opened
  useSession.setState({
    editing: null,
    drafts: keptDrafts()[opened] ?? {},
    ...keptStep(opened),
    runId: null,
    materialId: null,
    cardId: null,
    pastedListing: '',
    lastTools: {},
    cautionsTicked: [],
    harmTaken: [],
    burnFrom: null,
  })
}

/** The bench that the drafts in hand belong to. */
let draftsOf: string | null = null

useSession.subscribe(({ drafts, stepId, stepDrafts }, before) => {
  if (draftsOf === null) return
  if (drafts !== before.drafts) storeDrafts(draftsOf, drafts)
  if (stepId !== before.stepId || stepDrafts !== before.stepDrafts) storeStep(draftsOf, stepId, stepDrafts)
})

/** The step in hand and what was noted of the steps, of the bench that is open; pictures are kept elsewhere. */
const STEPS = 'fine-kerf.steps'

function storeStep(benchId: string, stepId: string | null, drafts: Session['stepDrafts']): void {
  const notes = Object.entries(drafts).flatMap(([key, { note }]) => (note === '' ? [] : [[key, note] as const]))
  try {
    sessionStorage.setItem(STEPS, JSON.stringify({ benchId, stepId, notes: Object.fromEntries(notes) }))
  } catch {
    // Without that store what was noted lasts as long as the page.
  }
}

function keptStep(benchId: string): Pick<Session, 'stepId' | 'stepDrafts'> {
  try {
    const kept = JSON.parse(sessionStorage.getItem(STEPS) ?? '{}') as {
      benchId?: string
      stepId?: string | null
      notes?: Record<string, string>
    }
    if (kept.benchId !== benchId) return { stepId: null, stepDrafts: {} }
    const notes = Object.entries(kept.notes ?? {}).map(([key, note]) => [key, { note, pictures: [] }] as const)
    return { stepId: kept.stepId ?? null, stepDrafts: Object.fromEntries(notes) }
  } catch {
    return { stepId: null, stepDrafts: {} }
  }
}

/** Forgets what was half typed, when it was entered or thrown away on purpose. */
export function dropDraft(path: Path): void {
  useSession.setState(({ drafts }) => ({ drafts: Object.fromEntries(Object.entries(drafts).filter(([at]) => at !== path)) }))
}

let answerCautions: ((taken: boolean) => void) | null = null

/** Asks for the cautions before a program that turns the beam on leaves; once they were taken, not again. */
export function askCautions(): Promise<boolean> {
  if (useSession.getState().cautions === 'taken') return Promise.resolve(true)
  answerCautions?.(false)
  useSession.setState({ cautions: 'asking' })
  return new Promise((resolve) => {
    answerCautions = resolve
  })
}

/** Cautions that were taken are asked for again: something has come that can hurt, and nobody has taken it on. */
export function cautionsAnew(): void {
  if (useSession.getState().cautions === 'taken') useSession.setState({ cautions: 'not asked', harmTaken: [] })
}

/** Ticks a caution, or takes the tick away. */
export function tickCaution(id: string): void {
  useSession.setState(({ cautionsTicked: all }) => ({
    cautionsTicked: all.includes(id) ? all.filter((it) => it !== id) : [...all, id],
  }))
}

/** Leaves the cautions for something that they ask for; what is ticked stays, and the way back is kept. @param from Address of the burn. */
export function leaveCautions(from: string): void {
  endCautions(false)
  useSession.setState({ burnFrom: from })
}

/** Ends the asking. @param harm Steps that somebody took on against a stop of harm. */
export function endCautions(taken: boolean, harm: readonly string[] = []): void {
  useSession.setState({ cautions: taken ? 'taken' : 'not asked', burnFrom: null, harmTaken: taken ? harm : [] })
  answerCautions?.(taken)
  answerCautions = null
}

/** Whether a fact is entered in a cell of the nameplate. */
export function isOnNameplate(path: Path): boolean {
  return placeOf(path)?.cell != null
}

/** What has to be brought out so that a fact stands on its sheet: its axis, its run. */
function belongingOf(path: Path): Partial<Session> {
  const [slice, list, id] = path.split('.')
  if (list === 'axes' && id !== undefined) return { axisId: id }
  if (list === 'blocks' && id !== undefined) return { blockId: id }
  if (list === 'materials' && id !== undefined) return { materialId: id }
  if (slice !== 'calibrate' || placeOf(path)?.part !== 'run') return {}
  return { runId: list === 'runs' && id !== undefined ? id : NEXT_RUN }
}

/** Brings a thing out on its sheet: an axis, a block, a material. */
export function choose(thing: Path): void {
  useSession.setState(belongingOf(thing))
}

/** Remembers which part of a stage is open. */
export function rememberPart(stage: string, part: string): void {
  useSession.setState(({ lastParts }) => (lastParts[stage] === part ? {} : { lastParts: { ...lastParts, [stage]: part } }))
}

/** Remembers what a quantity was read with. */
export function rememberTool(quantity: string, instrumentId: string): void {
  useSession.setState(({ lastTools }) => ({ lastTools: { ...lastTools, [quantity]: instrumentId } }))
}

/** In place of a scale run's id: the one that is not made yet. */
export const NEXT_RUN = 'next'

/** How long a field may take to come into view, in frames. */
const MOST_FRAMES = 60

/** Opens the editor of a fact, and what it is folded into, as soon as its field stands on the page. */
function openWhenThere(path: Path, place: string, frames = 0): void {
  const field = document.querySelector(`[data-fact="${CSS.escape(path)}"][data-place="${place}"]`)
  field?.closest('details')?.setAttribute('open', '')
  if (field !== null || frames === MOST_FRAMES) startEditing(path, place)
  else requestAnimationFrame(() => openWhenThere(path, place, frames + 1))
}

/**
 * Brings a fact out on the sheet that is open and opens its editor as soon as its field stands there: its axis, its run, or
 * its cell of the nameplate. The sheet itself is a matter of the address (`addressOfFact`).
 */
export function revealFact(path: Path): void {
  const cell = placeOf(path)?.cell ?? null
  useSession.setState({ nameplate: cell, ...belongingOf(path) })
  requestAnimationFrame(() => openWhenThere(path, cell === null ? 'given' : 'nameplate'))
}
