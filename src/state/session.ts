import { create } from 'zustand'
import type { Path } from '../core/bench'
import type { Entry } from '../core/bench'

/** What was typed into a field and not accepted: kept until it is, or until it is thrown away. */
export type Draft = Pick<Entry, 'typed' | 'origin'> & {
  readonly doubtTyped: string
  readonly instrumentId: string
  readonly day: string
}

/** What is open, pointed at and half typed. Nothing of it is saved with the bench. */
interface Session {
  /** The field whose editor is open; a fact may stand in several places. */
  readonly editing: { readonly path: Path; readonly place: string } | null
  readonly drafts: Readonly<Record<Path, Draft>>
  /** Axis whose drive is brought out. */
  readonly axisId: string | null
  /** Axis the pointer rests on. */
  readonly pointedAxis: string | null
  /** Where the head stands in the picture, mm from the origin; null until it is moved: the middle of its travel. */
  readonly head: { readonly x: number; readonly y: number } | null
  readonly nameplate: string | null
  readonly palette: boolean
  readonly shortcuts: boolean
  /** Whether anything has been said in passing yet. */
  readonly notices: boolean
}

export const useSession = create<Session>()(() => ({
  editing: null,
  drafts: {},
  axisId: null,
  pointedAxis: null,
  head: null,
  nameplate: null,
  palette: false,
  shortcuts: false,
  notices: false,
}))

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

/** Forgets what was half typed, when it was entered or thrown away on purpose. */
export function dropDraft(path: Path): void {
  useSession.setState(({ drafts }) => ({ drafts: Object.fromEntries(Object.entries(drafts).filter(([at]) => at !== path)) }))
}

/** Where a fact is edited when something else asks for it: cells of the nameplate, else the given of its stage. */
const ON_NAMEPLATE: Readonly<Record<Path, string>> = {
  'optics.power': 'beam',
  'optics.wavelength': 'beam',
  'optics.spotX': 'spot',
  'optics.spotY': 'spot',
  'safety.eyewearDensity': 'eyewear',
}

/** Brings a fact into view and opens its editor: selects its axis, or opens its cell of the nameplate. */
export function revealFact(path: Path): void {
  const cell = ON_NAMEPLATE[path]
  const [, list, id] = path.split('.')
  const axisId = list === 'axes' && id !== undefined ? { axisId: id } : {}
  useSession.setState({ nameplate: cell ?? null, ...axisId })
  // The editor opens once its field stands on the page.
  requestAnimationFrame(() => startEditing(path, cell === undefined ? 'given' : 'nameplate'))
}
