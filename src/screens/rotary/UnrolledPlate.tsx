import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { wrappedOrder, type Bench, type WrappedOrder } from '../../core/document'
import type { WrappedZone } from '../../core/rotary'
import { sayQuantity } from '../../core/units'
import { engineOf, useBenchStore, useKeptPlan, useWorkPlan, type PlannedProgram } from '../../state'
import { StageLink, useDrag } from '../../ui'
import { radiusOf, seenOf, type Seen } from './seen'
import {
  extentOf,
  projected,
  ringOf,
  silhouettes,
  wrappedTrack,
  zoneOutline,
  type Look,
  type Shown,
  type WrappedTrack,
} from './solid'

const TITLE = 'The order on the object, turning'
const FROM = { yaw: -0.42, pitch: 0.32 } as const
/** What an arrow key turns, rad. */
const KEY = Math.PI / 36

/** The object as it turns, with what the order burns on it. */
export function UnrolledPlate() {
  const bench = useBenchStore((it) => it.bench)
  const isRound = bench?.rotary.lays === 'round'
  useKeptPlan(isRound ? bench : null)
  const program = useWorkPlan((it) => it.program)
  if (bench === null) return null
  const seen = seenOf(bench, bench.rotary.inHand)
  const wrapped = wrappedOrder(engineOf(bench))
  if (seen === null || !wrapped.ok)
    return (
      <p className="my-8 max-w-[40rem] text-second" data-plate={TITLE}>
        The object is drawn as soon as it is measured, on “Object”.
      </p>
    )
  return (
    <figure className="keep-together mx-0 mt-2 mb-0" data-plate={TITLE}>
      <Turning bench={bench} seen={seen} order={wrapped.value} program={isRound ? program : null} />
      <figcaption className="pt-1 text-[13px] text-second">
        <span className="no-print">Drag it, or press ← and →, to turn it.</span>{' '}
        {!isRound ? (
          'The work order is flat: say below that it lies round the object.'
        ) : program === null ? (
          <>
            Nothing is planned yet: take artwork in, and say what is done with it, on the{' '}
            <StageLink stage="work" part="order">
              work order
            </StageLink>
            .
          </>
        ) : (
          'In ember what is burnt, in its place on the surface.'
        )}
      </figcaption>
    </figure>
  )
}

function Turning(props: {
  readonly bench: Bench
  readonly seen: Seen
  readonly order: WrappedOrder | null
  readonly program: PlannedProgram | null
}) {
  const { bench, seen, order, program } = props
  const canvas = useRef<HTMLCanvasElement>(null)
  const [spin, setSpin] = useState(Math.PI / 3)
  const [size, setSize] = useState({ width: 0, height: 0 })
  const from = useRef(spin)
  const start = seen.work?.from ?? 0
  const zone = useSameZone(order?.zone ?? null)
  const track = useMemo(
    () => (zone === null || program === null ? null : wrappedTrack(program.track, zone, start)),
    [zone, program, start],
  )
  const around = sheetAround(bench)
  const outline = useMemo(() => (zone === null ? null : zoneOutline(zone, start, around)), [zone, start, around])
  const scale = useRef(1)
  const { units } = bench
  const sayLength = useCallback(
    (mm: number): string => sayQuantity(Number(mm.toFixed(1)), null, units === 'metric' ? 'mm' : 'in'),
    [units],
  )
  const drag = useDrag<HTMLCanvasElement>({
    move: ({ dy, dx }) => setSpin(from.current - (dy - dx * 0.4) / (scale.current * Math.max(5, seen.widest / 2))),
    drop: () => (from.current = spin),
    cancel: () => setSpin(from.current),
    step: (right, up) => {
      from.current = spin + KEY * (right + up)
      setSpin(from.current)
    },
  })
  useEffect(() => {
    const node = canvas.current
    if (node === null) return undefined
    const observer = new ResizeObserver(() => setSize({ width: node.clientWidth, height: node.clientHeight }))
    observer.observe(node)
    return () => observer.disconnect()
  }, [])
  useEffect(() => {
    const node = canvas.current
    if (node === null || size.width === 0) return undefined
    const frame = requestAnimationFrame(() => {
      scale.current = draw(node, size, { ...FROM, spin }, { seen, track, outline, sayLength })
    })
    return () => cancelAnimationFrame(frame)
  }, [size, spin, seen, track, outline, sayLength])
  const degrees = Math.round((((spin * 180) / Math.PI) % 360) + 360) % 360
  return (
    <canvas
      ref={canvas}
      className="h-[clamp(280px,min(52vh,62vw),520px)] w-full touch-none print:h-[320px]"
      style={{ cursor: 'grab' }}
      tabIndex={0}
      role="slider"
      aria-label={`Turn ${seen.name}`}
      aria-valuemin={0}
      aria-valuemax={360}
      aria-valuenow={degrees}
      aria-valuetext={`${degrees} degrees`}
      data-turning={track === null ? 0 : track.count}
      {...drag}
    />
  )
}

/** A zone that is the same while its numbers are. */
function useSameZone(zone: WrappedZone | null): WrappedZone | null {
  const key = JSON.stringify(zone)
  return useMemo(() => JSON.parse(key) as WrappedZone | null, [key])
}

/** How far the sheet goes around, mm. */
function sheetAround({ work, rotary }: Bench): number {
  return (rotary.stack.axisLies.chosen === 'y' ? work.sheetWidth.value : work.sheetHeight.value) ?? 0
}

/** Lengths are drawn in the bench’s own unit. */
type SayLength = (mm: number) => string

interface Drawn {
  readonly seen: Seen
  readonly track: WrappedTrack | null
  readonly outline: readonly (readonly [along: number, turn: number])[] | null
  readonly sayLength: SayLength
}

/** Draws the object; what is seen in full, what lies behind it pale. @returns px for a millimetre. */
function draw(
  node: HTMLCanvasElement,
  size: { readonly width: number; readonly height: number },
  look: Look,
  what: Drawn,
): number {
  const ratio = window.devicePixelRatio
  node.width = size.width * ratio
  node.height = size.height * ratio
  const pen = node.getContext('2d')
  if (pen === null) return 1
  const { seen } = what
  const box = extentOf(seen, look)
  const scale = Math.min((size.width - 60) / (box.right - box.left), (size.height - 96) / (box.top - box.bottom))
  const [ox, oy] = [size.width / 2 - ((box.left + box.right) / 2) * scale, size.height / 2 + ((box.top + box.bottom) / 2) * scale]
  const css = getComputedStyle(node)
  const ink = (name: string): string => css.getPropertyValue(`--${name}`).trim()
  pen.setTransform(ratio, 0, 0, ratio, 0, 0)
  pen.clearRect(0, 0, size.width, size.height)
  const x = (it: Shown): number => ox + it.x * scale
  const y = (it: Shown): number => oy - it.y * scale
  const line = (places: readonly Shown[], pick: (it: Shown, k: number) => boolean): void => {
    pen.beginPath()
    places.forEach((it, k) => {
      const last = places[k - 1]
      if (last === undefined || !pick(it, k)) return
      pen.moveTo(x(last), y(last))
      pen.lineTo(x(it), y(it))
    })
    pen.stroke()
  }
  // The axis.
  pen.strokeStyle = ink('second')
  pen.lineWidth = 0.8
  pen.setLineDash([10, 3, 2, 3])
  line([projected(-12, 0, 0, look), projected(seen.length + 12, 0, 0, look)], () => true)
  pen.setLineDash([])
  // Rings at its sections and ends: behind pale, in front full.
  const places = [0, ...seen.sections.map((it) => it.at).filter((it) => it > 0 && it < seen.length), seen.length]
  for (const at of places) {
    const ring = ringOf(at, radiusOf(seen, at), look)
    const isEnd = at === 0 || at === seen.length
    pen.strokeStyle = ink('rule')
    pen.lineWidth = 0.8
    line(ring, (it) => !it.isFront)
    pen.strokeStyle = ink(isEnd ? 'ink' : 'second')
    pen.lineWidth = isEnd ? 1.5 : 0.8
    // Of the near end the whole ring is seen.
    line(ring, (it) => it.isFront || (look.yaw < 0 ? at === seen.length : at === 0))
  }
  pen.strokeStyle = ink('ink')
  pen.lineWidth = 1.6
  for (const side of silhouettes(seen, look)) line(side, () => true)
  handle(seen, look, pen, x, y, ink)
  // The unrolled stretch, and what is burnt on it.
  const { outline, track, sayLength } = what
  if (outline !== null) {
    const shown = outline.map(([at, turn]) => projected(at, turn, radiusOf(seen, at), look))
    pen.strokeStyle = ink('second')
    pen.lineWidth = 0.9
    pen.setLineDash([4, 3])
    line(shown, (it) => it.isFront)
    pen.setLineDash([])
  }
  if (track !== null) burn(track, seen, look, pen, x, y, ink('ember'))
  const sides = silhouettes(seen, look)
  dimension(sides[1] ?? [], sayLength(seen.length), pen, x, y, ink('ink'))
  return scale
}

type At = (it: Shown) => number

/** A dimension line beside a side of the object, with its length in the gap. */
function dimension(side: readonly Shown[], words: string, pen: CanvasRenderingContext2D, x: At, y: At, colour: string): void {
  const [from, to] = [side[0], side.at(-1)]
  if (from === undefined || to === undefined) return
  const OFF = 30
  const [ax, bx] = [x(from), x(to)]
  const low = Math.max(y(from), y(to)) + OFF
  // Along the axis as it runs on the screen, clear of both ends.
  const slope = (y(to) - y(from)) / (bx - ax)
  const [ay, by] = [low - Math.max(0, slope * (bx - ax)), low - Math.max(0, -slope * (bx - ax))]
  const [mx, my] = [(ax + bx) / 2, (ay + by) / 2]
  pen.strokeStyle = colour
  pen.fillStyle = colour
  pen.lineWidth = 0.8
  pen.font = `13px ${getComputedStyle(document.body).getPropertyValue('--font-mono') || 'monospace'}`
  pen.textAlign = 'center'
  const half = pen.measureText(words).width / 2 + 6
  const share = half / Math.hypot(bx - ax, by - ay)
  pen.beginPath()
  for (const [px, py, line] of [
    [ax, y(from), ay],
    [bx, y(to), by],
  ] as const) {
    pen.moveTo(px, py + 4)
    pen.lineTo(px, line + 6)
  }
  pen.moveTo(ax, ay)
  pen.lineTo(mx - (bx - ax) * share, my - (by - ay) * share)
  pen.moveTo(mx + (bx - ax) * share, my + (by - ay) * share)
  pen.lineTo(bx, by)
  pen.stroke()
  pen.fillText(words, mx, my + 4)
}

/** A handle from where it sits to its tip, at both its ends. */
function handle(seen: Seen, look: Look, pen: CanvasRenderingContext2D, x: At, y: At, ink: (name: string) => string): void {
  if (seen.handle === null) return
  const { from, to, out, at } = seen.handle
  const loop = [
    projected(from, at, radiusOf(seen, from), look),
    projected(from, at, radiusOf(seen, from) + out, look),
    projected(to, at, radiusOf(seen, to) + out, look),
    projected(to, at, radiusOf(seen, to), look),
  ]
  pen.strokeStyle = ink(loop.some((it) => it.isFront) ? 'ink' : 'rule')
  pen.lineWidth = 1.3
  pen.beginPath()
  loop.forEach((it, k) => (k === 0 ? pen.moveTo(x(it), y(it)) : pen.lineTo(x(it), y(it))))
  pen.stroke()
}

/** What is burnt, in one go: what lies behind is left out. */
function burn(track: WrappedTrack, seen: Seen, look: Look, pen: CanvasRenderingContext2D, x: At, y: At, colour: string): void {
  pen.strokeStyle = colour
  pen.lineWidth = 0.9
  pen.beginPath()
  for (let k = 0; k < track.count; k++) {
    const [a, b] = [2 * k, 2 * k + 1]
    const p = projected(track.along[a] as number, track.turn[a] as number, radiusOf(seen, track.along[a] as number), look)
    const q = projected(track.along[b] as number, track.turn[b] as number, radiusOf(seen, track.along[b] as number), look)
    if (!p.isFront && !q.isFront) continue
    pen.moveTo(x(p), y(p))
    pen.lineTo(x(q), y(q))
  }
  pen.stroke()
}
