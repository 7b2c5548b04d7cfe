import { describe, expect, it } from 'vitest'
import { IN_FAULTS, OUT_FAULTS, tryLink, type LinkFault } from './lossyLink'
import { every } from './size'

/**
 * Every point of a run × every fault of its link. The machine itself tells what really happened; what the session says,
 * and what would be written down, is held against that.
 */
describe.each(['stand-in', 'cable'] as const)('over the %s', async (over) => {
  const clean = await tryLink(null, over)
  const points = (lines: number): number[] => Array.from({ length: lines }, (_, i) => i)
  const faults: LinkFault[] = [
    ...points(clean.linesIn).flatMap((at) => IN_FAULTS.map((kind): LinkFault => ({ way: 'in', at, kind }))),
    ...points(clean.linesOut).flatMap((at) => OUT_FAULTS.map((kind): LinkFault => ({ way: 'out', at, kind }))),
  ]
  const tried = every(faults, 120)

  it('a run over a whole link is burnt, and said to be', () => {
    expect(clean).toMatchObject({ end: { kind: 'burnt' }, ranToItsEnd: true, untrueOff: 0, outAfterFault: [] })
  })

  it(`${tried.length} of ${faults.length} faults: beam off first, nothing untrue is said or written down`, async () => {
    const wrong: string[] = []
    for (const fault of tried) {
      const t = await tryLink(fault, over)
      const name = `${fault.way} ${fault.at} ${fault.kind}`
      const untrue = (what: string): void => void wrong.push(`${name}: ${what} (${JSON.stringify(t.end)})`)
      if (!t.stopFirst || t.outAfterFault.length > 0) untrue(`went out after the fault: ${t.outAfterFault.join(', ')}`)
      if (t.untrueOff > 0) untrue('said to be off while at work')
      if (t.end.kind === 'burnt' && !t.ranToItsEnd) untrue('not burnt')
      if (t.end.kind === 'not begun' && t.ranAtAll) untrue('it had begun')
      if ((t.end.kind === 'lost' || t.end.kind === 'stopped') && t.end.done > t.trueDone + 1e-3) untrue('came less far')
      // 3 s for an answer, 1.2 s for a report, 1 s for the stop to be confirmed.
      if (t.secondsToKnow > 4.3) untrue(`known only after ${t.secondsToKnow.toFixed(1)} s`)
    }
    expect(wrong).toEqual([])
    if (process.env['FAULTS'] === 'all') console.log(`link: ${tried.length} faults tried, ${wrong.length} failed`)
  }, 120_000)
})
