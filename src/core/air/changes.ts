import { ROUGHNESS } from './duct'
import { solveAir, type AirBranch, type AirNetwork } from './network'
import type { AirPart } from './parts'

/** What can be done to a part. */
export const CHANGES = {
  stretch: 'stretch the hose',
  smooth: 'take smooth duct for hose',
  wider: 'take duct a size wider',
  gentler: 'take a gentler bend or end',
  open: 'open it twice as wide',
  clean: 'clean it, or take one twice as large',
} as const
export type ChangeKind = keyof typeof CHANGES

/** A change to one part, and what would flow then. */
export interface AirChange {
  readonly kind: ChangeKind
  readonly branch: string
  readonly part: number
  /** m³/s through the way that is watched, with it and more than without. */
  readonly flow: number
  readonly gain: number
}

/** Next size of duct over one: 80 to 100 to 125 to 160. (ISO 7807, from memory) */
const WIDER = 1.25

/** What a part would be. @returns Nothing where a change does not apply. */
function changed(part: AirPart, kind: ChangeKind): AirPart | null {
  if (part.kind === 'duct') {
    if (kind === 'stretch') return part.slack > 1 ? { ...part, slack: 1 } : null
    if (kind === 'smooth') return part.roughness > ROUGHNESS.metal ? { ...part, roughness: ROUGHNESS.metal, slack: 1 } : null
    return kind === 'wider' ? { ...part, diameter: part.diameter * WIDER } : null
  }
  if (part.kind === 'fitting') return kind === 'gentler' && part.k > 0 ? { ...part, k: part.k / 2 } : null
  if (part.kind === 'gap') return kind === 'open' ? { ...part, area: 2 * part.area } : null
  return part.kind === 'stated' && kind === 'clean' ? { ...part, pressure: part.pressure / 2 } : null
}

/**
 * Changes to single parts by what they add to the flow of a way, the largest first. @param network A network that can be solved. @param watched The way. @param leave Ways that stay as they are: leaks, most often.
 * @returns None where the network cannot be solved. @throws never. Valid: one change at a time; two together add less, or more, than both. Source: the network solved anew with each.
 */
export function changesThatHelp(network: AirNetwork, watched: string, leave: readonly string[] = []): readonly AirChange[] {
  const before = solveAir(network)
  if (!before.ok) return []
  const now = before.value.flows[watched] ?? 0
  const kinds = Object.keys(CHANGES) as ChangeKind[]
  return network.branches
    .filter((it) => !leave.includes(it.id))
    .flatMap((branch) => branch.parts.flatMap((part, k) => kinds.map((kind) => ({ branch, part, k, kind }))))
    .flatMap(({ branch, part, k, kind }): readonly AirChange[] => {
      const better = changed(part, kind)
      if (better === null) return []
      const solved = solveAir(withPart(network, branch, k, better))
      if (!solved.ok) return []
      const flow = solved.value.flows[watched] ?? 0
      return [{ kind, branch: branch.id, part: k, flow, gain: flow - now }]
    })
    .sort((p, q) => q.gain - p.gain)
}

function withPart(network: AirNetwork, { id }: AirBranch, index: number, part: AirPart): AirNetwork {
  const branches = network.branches.map((it) =>
    it.id === id ? { ...it, parts: it.parts.map((own, k) => (k === index ? part : own)) } : it,
  )
  return { ...network, branches }
}
