import { roleOf } from './blocks'
import { reachOf, type WiredBlock, type WiredPair } from './wiring'

/** One step of the first power-up. */
export interface BringUpStep {
  readonly id: string
  readonly kind: 'look' | 'bonds' | 'source' | 'load' | 'dark' | 'head' | 'light'
  /** The block that it is about. */
  readonly block?: string
}

/**
 * The order in which to power things the first time: nothing plugged, then each source by itself, then what it feeds one
 * after another, converters before what hangs on them, the head last and dark before it is bright.
 * @param hasMains Whether anything stands on the mains, so that bonds come first.
 */
export function bringUpOrder(
  blocks: readonly WiredBlock[],
  wires: readonly WiredPair[],
  hasMains: boolean,
): readonly BringUpStep[] {
  const byId = new Map(blocks.map((it) => [it.id, it]))
  const steps: BringUpStep[] = [{ id: 'look', kind: 'look' }]
  if (hasMains) steps.push({ id: 'bonds', kind: 'bonds' })
  const done = new Set<string>()
  const heads: string[] = []
  const power = (source: string): void => {
    if (done.has(source)) return
    done.add(source)
    steps.push({ id: `source-${source}`, kind: 'source', block: source })
    const fed = reachOf(source, blocks, wires).blocks.slice(1)
    for (const id of fed) {
      const kind = byId.get(id)?.kind
      if (kind === undefined || done.has(id)) continue
      if (kind === 'head') heads.push(id)
      else if (roleOf(kind) === 'load') {
        done.add(id)
        steps.push({ id: `load-${id}`, kind: 'load', block: id })
      }
    }
    for (const id of fed) if (byId.get(id)?.kind === 'converter') power(id)
  }
  for (const it of blocks) if (roleOf(it.kind) === 'source') power(it.id)
  for (const id of new Set(heads)) {
    steps.push({ id: `dark-${id}`, kind: 'dark', block: id }, { id: `head-${id}`, kind: 'head', block: id })
  }
  if (heads.length > 0) steps.push({ id: 'light', kind: 'light' })
  return steps
}
