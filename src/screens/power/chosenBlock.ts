import { roleOf } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { useSession } from '../../state'

/** The block that is brought out: the one chosen, else the first source, else the first; and how to choose another. */
export function useChosenBlock({ electrical: { blocks } }: Bench): readonly [string, (id: string) => void] {
  const chosen = useSession((it) => it.blockId)
  const inOrder = Object.entries(blocks).sort(([, p], [, q]) => p.order - q.order)
  const first = (inOrder.find(([, { kind }]) => roleOf(kind) === 'source') ?? inOrder[0])?.[0] ?? ''
  const id = chosen !== null && blocks[chosen] !== undefined ? chosen : first
  return [id, (next) => useSession.setState({ blockId: next })]
}
