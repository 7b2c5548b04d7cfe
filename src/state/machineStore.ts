import { create } from 'zustand'
import type { BeamState, Session, StateReport, StopState } from '../core/controller'
import type { Finding } from '../core/units'
import type { Mark } from '../core/workshop'
import type { ClockRate } from '../workers/workshop.worker'

export type { ClockRate } from '../workers/workshop.worker'

/** The link to a machine, and what it last said. Nothing of it is saved with the bench. */
interface MachineState {
  readonly link: 'none' | 'opening' | 'open' | 'faulted'
  readonly report: StateReport | null
  readonly running: boolean
  /** Held in the middle of a program. */
  readonly isPaused: boolean
  /** A real machine on a cable, not the stand-in. */
  readonly isCable: boolean
  /** Not known counts as on. */
  readonly beam: BeamState
  readonly stop: StopState
  /** What went wrong, until the next connection. */
  readonly finding: Finding | null
  /** Lines of the link, both ways, the last ones. */
  readonly lines: readonly { readonly way: 'out' | 'in'; readonly line: string }[]
  /** What lies burnt on the stand-in's sheet. */
  readonly marks: readonly (Mark | null)[]
  /** What was burnt on that sheet: a scale run by its id, or the ramp. */
  readonly burnt: string | null
  /** How the stand-in's clock runs; chosen before it is connected or while it is, it stays chosen. */
  readonly rate: ClockRate
}

/** Whether the stand-in is connected, whose instruments can be used; a controller on a cable has none. */
export function isStandInThere({ link, isCable }: Pick<MachineState, 'link' | 'isCable'>): boolean {
  return link === 'open' && !isCable
}

export const NOT_CONNECTED: Omit<MachineState, 'rate'> = {
  link: 'none',
  report: null,
  running: false,
  isPaused: false,
  isCable: false,
  beam: 'off',
  stop: 'none',
  finding: null,
  lines: [],
  marks: [],
  burnt: null,
}

export const useMachine = create<MachineState>()(() => ({ ...NOT_CONNECTED, rate: 10 }))

/** What speaks with the machine that is connected; its code comes when one is. */
let session: Session | null = null

export function holdSession(next: Session | null): void {
  session = next
}

/** Whether the beam of a connected machine may be on. */
export function mayBeLit(): boolean {
  return session !== null && session.beam !== 'off'
}

/** Beam off and still, at once; sent again until the machine confirms it. */
export function stopMachine(): void {
  session?.stop()
}

/** A person has cut the machine's supply, and says that the beam is off. */
export function supplyIsCut(): void {
  session?.standsDark()
}

/** A page that goes away tells its machine to stop first. @returns Calls it off. */
export function stopOnLeaving(): () => void {
  const stop = (): void => {
    if (mayBeLit()) stopMachine()
  }
  addEventListener('pagehide', stop)
  return () => removeEventListener('pagehide', stop)
}
