import { create } from 'zustand'
import type { Fault } from '../core/electrical'

/** The state of the chain that is laid over the drawing. */
export interface ChainState {
  readonly moved: readonly string[]
  /** Whether the controller tells the beam to be on. */
  readonly told: boolean
  readonly fault: Fault | null
}

/** Nothing moved and told to be on, until a line of the table is picked. */
export const useChainState = create<ChainState>(() => ({ moved: [], told: true, fault: null }))
