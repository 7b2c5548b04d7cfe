import type { Finding } from '../units'
import type { StateReport } from './protocol'
import type { Answer, Session } from './session'

/** How a program that was sent to a machine came out. Shares are of its time, as the machine reported them last. */
export type RunEnd =
  | { readonly kind: 'burnt' }
  /** It was told to stop, and confirmed it. */
  | { readonly kind: 'stopped'; readonly done: number }
  /** The link went bad: it came at least so far. */
  | { readonly kind: 'lost'; readonly done: number; readonly finding: Finding }
  /** It never ran. */
  | { readonly kind: 'not begun'; readonly finding: Finding }

/**
 * Sends a program line by line and runs it to its end. A stop that is asked for on the way ends it, before the next line
 * goes out.
 * @param sheet What the stand-in is told of the fresh sheet. @param ahead Lines that may be on their way at once; 1 or more.
 */
export async function runLines(session: Session, lines: readonly string[], sheet = 'sheet', ahead = 1): Promise<RunEnd> {
  const stopsBefore = session.stops
  const loaded =
    (await loadLines(session, [sheet], 1)) ??
    (await loadLines(
      session,
      lines.map((line) => `load ${line}`),
      ahead,
    ))
  if (loaded !== null) return loaded
  if (session.stops !== stopsBefore) return { kind: 'not begun', finding: STOPPED }
  const over = session.whenOver()
  const answer = await session.ask('run')
  if (!answer.ok && answer.finding.code === 'refused') return { kind: 'not begun', finding: answer.finding }
  const how = await over
  if (session.fault !== null || how === 'fault') {
    return { kind: 'lost', done: session.done, finding: session.fault ?? (answer.ok ? CLOSED : answer.finding) }
  }
  return how === 'ended' ? { kind: 'burnt' } : { kind: 'stopped', done: session.done }
}

/** Sends lines, so many of them before the first of their answers is waited for. @returns Null where all were taken. */
async function loadLines(session: Session, lines: readonly string[], ahead: number): Promise<RunEnd | null> {
  const stopsBefore = session.stops
  const waiting: Promise<Answer>[] = []
  for (let i = 0; i < lines.length || waiting.length > 0; i++) {
    const words = lines[i]
    if (session.stops !== stopsBefore) return { kind: 'not begun', finding: STOPPED }
    if (words !== undefined) waiting.push(session.ask(words))
    if (words !== undefined && waiting.length < ahead) continue
    const answer = await (waiting.shift() as Promise<Answer>)
    if (answer.ok) continue
    if (session.fault === null) session.stop()
    return { kind: 'not begun', finding: answer.finding }
  }
  return null
}

const STOPPED: Finding = { code: 'stopped', severity: 'warning', message: 'It was stopped before it began.' }
const CLOSED: Finding = { code: 'closed', severity: 'error', message: 'The link was closed while it ran.' }

/**
 * Why a report of a machine cannot be: a power that is none, a share that is none, or a place far outside of its travel.
 * @param travel mm of X and Y; null where it is not known.
 * @returns In words, or null where it can be.
 */
export function impossible(
  { x, y, power, done }: StateReport,
  travel: { readonly x: number | null; readonly y: number | null },
): string | null {
  if (!(power >= 0 && power <= 1)) return `a power of ${Math.round(power * 100)} %`
  if (!(done >= 0 && done <= 1)) return `a program that is ${Math.round(done * 100)} % done`
  for (const [letter, at, reach] of [['X', x, travel.x] as const, ['Y', y, travel.y] as const]) {
    const room = reach === null ? 100_000 : 0.1 * reach + 10
    if (at < -room || at > (reach ?? 0) + room) return `${letter} at ${at} mm`
  }
  return null
}
