import fc from 'fast-check'
import { expect, it } from 'vitest'
import { inOrder } from './order'

/** The plain way: look through all that waits for the first that is free, again and again. */
function slowly(ids: readonly string[], beneath: ReadonlyMap<string, readonly string[]>): number[] {
  const waiting = new Set(ids)
  const order: number[] = []
  while (waiting.size > 0) {
    const isFree = (id: string): boolean => waiting.has(id) && !beneath.get(id)!.some((under) => waiting.has(under))
    const next = ids.find(isFree) ?? ids.find((id) => waiting.has(id))!
    waiting.delete(next)
    order.push(ids.indexOf(next))
  }
  return order
}

it('is what looking for the first free one gives, rings and strangers included (seed 31)', () => {
  const graph = fc
    .integer({ min: 1, max: 14 })
    .chain((n) => fc.array(fc.array(fc.integer({ min: 0, max: n }), { maxLength: 3 }), { minLength: n, maxLength: n }))
  fc.assert(
    fc.property(graph, (links) => {
      const ids = links.map((_, i) => `r${i}`)
      const beneath = new Map(ids.map((id, i) => [id, links[i]!.map((it) => `r${it}`)]))
      expect(inOrder(ids, beneath)).toEqual(slowly(ids, beneath))
    }),
    { seed: 31, numRuns: 500 },
  )
})
