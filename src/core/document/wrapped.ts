import { shownNumber, type Engine } from '../bench'
import type { RoundAxis } from '../gcode'
import { diameterOfWork, radiusAt, type WrappedZone } from '../rotary'
import { cornerOf } from '../work'
import { refused, type Outcome } from '../units'
import type { Bench } from './bench'

/** The order of a bench on the round thing in hand. */
export interface WrappedOrder {
  readonly zone: WrappedZone
  /** The axis of its own that goes round; null: the rotary stands in an axis’ place. */
  readonly round: RoundAxis | null
}

/**
 * How the work order lies on the object in hand: its sheet is the unrolled stretch of the work, from where the work begins, its middle on the
 * top line. @returns Null where the order is flat; in words, what is missing.
 */
export function wrappedOrder(engine: Engine<Bench>): Outcome<WrappedOrder | null> {
  const { rotary, work } = engine.bench
  if (rotary.lays === 'flat') return { ok: true, value: null, findings: [] }
  const object = rotary.objects[rotary.inHand]
  const diameter = shownNumber(engine.value(diameterOfWork, rotary.inHand).result)
  if (object === undefined || diameter === null || object.workFrom.value === null || object.workTo.value === null)
    return refused(
      'no-object',
      'The order lies round an object that is not measured: say on Rotary what it is and where the work goes.',
    )
  const sections = Object.values(object.sections)
    .flatMap((it) =>
      it.at.value === null || it.diameter.value === null ? [] : [{ at: it.at.value, diameter: it.diameter.value }],
    )
    .sort((p, q) => p.at - q.at)
  const [from, to] = [object.workFrom.value, object.workTo.value]
  const [first, last] = [2 * radiusAt(sections, from), 2 * radiusAt(sections, to)]
  const along = rotary.stack.axisLies.chosen === 'y' ? 'y' : 'x'
  const corner = cornerOf(work)
  const [wide, high] = [work.sheetWidth.value ?? 0, work.sheetHeight.value ?? 0]
  const zone: WrappedZone = {
    along,
    start: along === 'x' ? corner.x : corner.y,
    middle: along === 'x' ? corner.y + high / 2 : corner.x + wide / 2,
    first,
    last,
    length: Math.hypot(to - from, (last - first) / 2),
  }
  const isOwn = rotary.turn.standsFor.chosen === 'own'
  const round: RoundAxis | null = isOwn
    ? { instead: along === 'x' ? 'y' : 'x', letter: rotary.letter, degrees: 720 / (Math.PI * (first + last)) }
    : null
  return { ok: true, value: { zone, round }, findings: [] }
}
