import { useBenchStore, useSession } from '../../state'

/** The material that is looked at: the one chosen, else the first of the book; null while the book is empty. */
export function useMaterial(): string | null {
  const id = useSession((it) => it.materialId)
  return useBenchStore(({ bench }) => {
    if (bench === null) return null
    const { materials } = bench.burns
    if (id !== null && materials[id] !== undefined) return id
    return Object.entries(materials).sort(([, p], [, q]) => p.order - q.order)[0]?.[0] ?? null
  })
}
