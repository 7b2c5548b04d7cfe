import { useEffect, useRef } from 'react'
import { useSettings, useWorkPlan } from '../../state'
import { usePlateFrame } from '../../ui'
import { lookAtMoment, useMoment } from './chosenPiece'
import { sayTime } from './sayTime'

/** Goes through the burn in time. */
export function Scrub() {
  const program = useWorkPlan((it) => it.program)
  const at = useMoment()
  if (program === null) return null
  const shown = at ?? program.seconds
  return (
    <label className="no-print flex items-center gap-3 text-[13px] text-second">
      <span className="shrink-0">Moment of the burn</span>
      <input
        type="range"
        className="min-w-0 flex-1 accent-[var(--teal)]"
        min={0}
        max={Math.max(1, Math.ceil(program.seconds))}
        step={Math.max(0.1, program.seconds / 2000)}
        value={shown}
        aria-valuetext={sayTime(shown)}
        onChange={(event) => {
          const to = Number(event.target.value)
          lookAtMoment(to >= program.seconds ? null : to)
        }}
      />
      <span className="num w-32 shrink-0 text-right text-ink">{at === null ? `all, ${sayTime(shown)}` : sayTime(shown)}</span>
    </label>
  )
}

/** More pieces of the way than this are not drawn at once: every so many are passed over. */
const MOST_DRAWN = 40_000

/** What is burnt up to the moment that is looked at, and the head there; nothing while all of it is shown. */
export function HeadAt() {
  const track = useWorkPlan((it) => it.program?.track ?? null)
  const at = useMoment()
  const { width, height, x, y } = usePlateFrame()
  const theme = useSettings((it) => it.theme)
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const node = canvas.current
    const pen = node?.getContext('2d') ?? null
    if (node === null || pen === null || track === null || at === null) return
    node.width = width * devicePixelRatio
    node.height = height * devicePixelRatio
    pen.scale(devicePixelRatio, devicePixelRatio)
    const end = indexAt(track.t, at)
    const ember = getComputedStyle(node).color
    pen.strokeStyle = ember
    pen.lineWidth = 1.2
    const every = Math.ceil(end / MOST_DRAWN)
    pen.beginPath()
    for (let i = every; i <= end; i += every) {
      if (track.lit[i] !== 1) continue
      pen.moveTo(x(track.x[i - every] as number), y(track.y[i - every] as number))
      pen.lineTo(x(track.x[i] as number), y(track.y[i] as number))
    }
    pen.stroke()
    const [hx, hy] = [x(track.x[end] ?? 0), y(track.y[end] ?? 0)]
    pen.beginPath()
    pen.arc(hx, hy, 6, 0, 2 * Math.PI)
    pen.moveTo(hx - 10, hy)
    pen.lineTo(hx + 10, hy)
    pen.moveTo(hx, hy - 10)
    pen.lineTo(hx, hy + 10)
    if (track.lit[end] !== 1) {
      node.style.color = 'var(--ink)'
      pen.strokeStyle = getComputedStyle(node).color
      node.style.color = ''
    }
    pen.stroke()
  }, [track, at, width, height, x, y, theme])
  if (at === null || track === null) return null
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label="What is burnt by then, and the head"
      className="pointer-events-none absolute inset-0 h-full w-full text-ember"
    />
  )
}

/** The last place that is reached by a moment. */
function indexAt(t: Float32Array, at: number): number {
  let [low, high] = [0, t.length - 1]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((t[middle] as number) <= at) low = middle
    else high = middle - 1
  }
  return low
}
