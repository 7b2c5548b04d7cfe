import { createPath, NavigationType, parsePath, type Location, type Navigator, type To } from 'react-router'
import { create } from 'zustand'

/** Where the page is, how it came there, and a way out that somebody has to answer for first. */
interface Navigation {
  readonly location: Location
  readonly type: NavigationType
  /** Null while nothing is asked. */
  readonly barred: { readonly pass: () => void; readonly stay: () => void } | null
}

/** Whether a way from one address to another has to be answered for; said by whoever guards it. */
type Guard = (from: string, to: string) => boolean

/** What the browser's history keeps beside each address. */
interface Kept {
  readonly at: number
  readonly state: unknown
}

function here(): Location {
  const { pathname, search, hash } = window.location
  const { at, state } = kept()
  return { pathname, search, hash, state, key: String(at) }
}

function kept(): Kept {
  const found = window.history.state as Partial<Kept> | null
  return { at: found?.at ?? 0, state: found?.state ?? null }
}

export const useNavigation = create<Navigation>()(() => ({ location: here(), type: NavigationType.Pop, barred: null }))

let guard: Guard = () => false
/** Place in the history of this page, counted from where it began. */
let at = kept().at
/** The next step of the browser's own is ours: nobody needs to hear of it, or it was answered for. */
let own: 'back' | 'passed' | null = null

/** Sets who is asked before an address is left. @returns Stops asking. */
export function guardLeaving(asked: Guard): () => void {
  guard = asked
  return () => {
    guard = () => false
  }
}

function isBarred(to: string): boolean {
  return guard(useNavigation.getState().location.pathname, to)
}

function bar(pass: () => void): void {
  const over = (): void => useNavigation.setState({ barred: null })
  const passOver = (): void => {
    over()
    pass()
  }
  useNavigation.setState({ barred: { pass: passOver, stay: over } })
}

function arrive(type: NavigationType): void {
  useNavigation.setState({ location: here(), type })
}

function write(to: To, state: unknown, how: 'push' | 'replace'): void {
  const path = typeof to === 'string' ? parsePath(to) : to
  const url = createPath({ pathname: window.location.pathname, ...path })
  const go = (): void => {
    if (how === 'push') at += 1
    window.history[`${how}State`]({ at, state } satisfies Kept, '', url)
    arrive(how === 'push' ? NavigationType.Push : NavigationType.Replace)
  }
  if (isBarred(path.pathname ?? window.location.pathname)) bar(go)
  else go()
}

/** The browser's history as the router asks for it. */
export const navigator: Navigator = {
  createHref: (to) => (typeof to === 'string' ? to : createPath(to)),
  go: (by) => window.history.go(by),
  push: (to, state) => write(to, state, 'push'),
  replace: (to, state) => write(to, state, 'replace'),
}

/** The place of an entry of the history; one that the browser made itself, for a `#`, comes behind where we are. */
function placed(state: unknown): number {
  const known = (state as Partial<Kept> | null)?.at
  if (known !== undefined) return known
  window.history.replaceState({ at: at + 1, state: null } satisfies Kept, '')
  return at + 1
}

function onPop(event: PopStateEvent): void {
  const why = own
  own = null
  if (why === 'back') return
  const to = placed(event.state)
  const by = to - at
  const arriveThere = (): void => {
    at = to
    arrive(NavigationType.Pop)
  }
  if (by === 0 || why === 'passed' || !isBarred(window.location.pathname)) {
    arriveThere()
    return
  }
  // The browser is there already: it goes back, and forward again once that is answered for.
  own = 'back'
  window.history.go(-by)
  bar(() => {
    own = 'passed'
    window.history.go(by)
  })
}

/** Listens to the browser's own ways back and forth. @returns Stops listening. */
export function listenToHistory(): () => void {
  if (window.history.state === null) window.history.replaceState({ at, state: null } satisfies Kept, '')
  window.addEventListener('popstate', onPop)
  return () => window.removeEventListener('popstate', onPop)
}
