/**
 * A topological order: what lies beneath comes first, and among what is free the earlier in the list. What is in a ring
 * comes when nothing else is free, earliest first.
 * @param ids In the order that is kept where it can be. @param beneath What each waits for; ids that are not listed are
 * nothing to wait for. @returns Places in `ids`. Takes n log n for n ids and what lies beneath them.
 */
export function inOrder(ids: readonly string[], beneath: ReadonlyMap<string, readonly string[]>): readonly number[] {
  const at = new Map(ids.map((id, i) => [id, i]))
  const waitsFor = ids.map((id) => new Set((beneath.get(id) ?? []).flatMap((under) => at.get(under) ?? [])))
  const above = ids.map((): number[] => [])
  waitsFor.forEach((unders, i) => unders.forEach((under) => above[under]?.push(i)))
  const free = new Earliest()
  waitsFor.forEach((unders, i) => unders.size === 0 && free.add(i))
  const taken = ids.map(() => false)
  const order: number[] = []
  for (let next = 0; order.length < ids.length;) {
    while (taken[next] === true) next++
    const i = free.take() ?? next
    if (taken[i] === true) continue
    taken[i] = true
    order.push(i)
    for (const over of above[i] ?? []) {
      waitsFor[over]?.delete(i)
      if (waitsFor[over]?.size === 0) free.add(over)
    }
  }
  return order
}

/** Numbers of which the smallest is taken first: a binary heap. */
class Earliest {
  private readonly heap: number[] = []

  add(number: number): void {
    const { heap } = this
    let at = heap.push(number) - 1
    for (let up = (at - 1) >> 1; at > 0 && this.at(up) > this.at(at); at = up, up = (at - 1) >> 1) this.swap(at, up)
  }

  take(): number | undefined {
    const { heap } = this
    const first = heap[0]
    const last = heap.pop()
    if (last === undefined || heap.length === 0) return first
    heap[0] = last
    let at = 0
    for (;;) {
      const [left, right] = [2 * at + 1, 2 * at + 2]
      const down = this.at(right) < this.at(left) ? right : left
      if (this.at(down) >= this.at(at)) return first
      this.swap(at, down)
      at = down
    }
  }

  private at(i: number): number {
    return this.heap[i] ?? Infinity
  }

  private swap(i: number, k: number): void {
    const [a, b] = [this.at(i), this.at(k)]
    this.heap[i] = b
    this.heap[k] = a
  }
}
