import { IN_FAULTS, OUT_FAULTS, tryLink, type LinkFault, type Over, type Trial } from './lossyLink'
import { every } from './size'

export interface LinkReport {
  /** A run over a link without a fault. */
  readonly clean: Trial
  readonly tried: number
  readonly of: number
  /** What was said or done wrongly, a sentence each. */
  readonly wrong: readonly string[]
}

/**
 * Every point of a run × every fault of its link. The machine itself tells what really happened; what the session says,
 * and what would be written down, is held against that.
 * @param quick How many of them are tried where not all are.
 */
export async function tryFaults(over: Over, quick: number): Promise<LinkReport> {
  const clean = await tryLink(null, over)
  const points = (lines: number): number[] => Array.from({ length: lines }, (_, i) => i)
  const faults: LinkFault[] = [
    ...points(clean.linesIn).flatMap((at) => IN_FAULTS.map((kind): LinkFault => ({ way: 'in', at, kind }))),
    ...points(clean.linesOut).flatMap((at) => OUT_FAULTS.map((kind): LinkFault => ({ way: 'out', at, kind }))),
  ]
  const tried = every(faults, quick)
  const wrong: string[] = []
  for (const fault of tried)
    wrong.push(...untrue(await tryLink(fault, over)).map((it) => `${fault.way} ${fault.at} ${fault.kind}: ${it}`))
  return { clean, tried: tried.length, of: faults.length, wrong }
}

/** What went wrong with one run. */
function untrue(t: Trial): readonly string[] {
  const { end } = t
  const said: string[] = []
  if (!t.stopFirst || t.outAfterFault.length > 0) said.push(`went out after the fault: ${t.outAfterFault.join(', ')}`)
  if (t.untrueOff > 0) said.push('said to be off while at work')
  if (end.kind === 'burnt' && !t.ranToItsEnd) said.push('not burnt')
  if (end.kind === 'not begun' && t.ranAtAll) said.push('it had begun')
  if ((end.kind === 'lost' || end.kind === 'stopped') && end.done > t.trueDone + 1e-3) said.push('came less far')
  // 3 s for an answer, 1.2 s for a report, 1 s for the stop to be confirmed.
  if (t.secondsToKnow > 4.3) said.push(`known only after ${t.secondsToKnow.toFixed(1)} s`)
  return said.map((it) => `${it} (${JSON.stringify(end)})`)
}
