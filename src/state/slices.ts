/** How long a slice may take before the page gets its turn, ms: with what draws after it, it stays below a long task. */
const SLICE = 12

/** When the page has drawn what came before. */
export function afterDrawing(turn: () => void): void {
  const isSeen = typeof requestAnimationFrame !== 'undefined' && document.visibilityState === 'visible'
  if (isSeen) requestAnimationFrame(() => setTimeout(turn, 0))
  else setTimeout(turn, 0)
}

/**
 * Does jobs one after the other, in tasks of their own that keys and pictures come between; no job is ever split.
 * @param isOvertaken Asked before every slice: once it is, nothing more is done, and `done` is not called.
 */
export function inSlices(jobs: Iterator<() => void>, isOvertaken: () => boolean, done: () => void): void {
  afterDrawing(() => {
    if (isOvertaken()) return
    const start = performance.now()
    do {
      const job = jobs.next()
      if (job.done === true) return done()
      job.value()
    } while (performance.now() - start < SLICE)
    inSlices(jobs, isOvertaken, done)
  })
}
