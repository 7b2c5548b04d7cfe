import { create } from 'zustand'
import { LANES, type Lane } from '../../core/log'

/** What is looked for in the log, shared by its drawing and its list. */
interface Asked {
  readonly words: string
  readonly lanes: ReadonlySet<Lane>
}

export const useAsked = create<Asked>()(() => ({ words: '', lanes: new Set(LANES) }))

export function askFor(words: string): void {
  useAsked.setState({ words })
}

/** Shows a lane, or leaves it out. */
export function toggleLane(lane: Lane): void {
  useAsked.setState(({ lanes }) => {
    const next = new Set(lanes)
    if (!next.delete(lane)) next.add(lane)
    return { lanes: next }
  })
}

/** What each lane is called. */
export const LANE_WORDS: Readonly<Record<Lane, string>> = {
  record: 'records',
  burn: 'burns and jobs',
  repair: 'repairs',
  upkeep: 'upkeep and tries',
  bought: 'bought',
  note: 'notes',
}
