import { CENTRE_LINE, usePlateFrame } from '../../ui'
import { halfWork, radiusOf, type Seen } from './seen'

/** An object from its far end: the work as an arc on it, the handle, and how far both turn. @param x Where its axis stands, mm. */
export function EndView({ seen, x }: { readonly seen: Seen; readonly x: number }) {
  const frame = usePlateFrame()
  const middle = seen.work === null ? seen.length / 2 : (seen.work.from + seen.work.to) / 2
  const radius = radiusOf(seen, middle)
  const [cx, cy, r] = [frame.x(x), frame.y(0), radius * frame.scale]
  const half = halfWork(seen)
  /** A place at an angle from the top. */
  const at = (angle: number, away: number): string =>
    `${(cx + Math.sin(angle) * away * frame.scale).toFixed(1)} ${(cy - Math.cos(angle) * away * frame.scale).toFixed(1)}`
  const arc = (from: number, to: number, away: number): string =>
    `M${at(from, away)}A${away * frame.scale} ${away * frame.scale} 0 ${to - from > Math.PI ? 1 : 0} 1 ${at(to, away)}`
  const cross = r + 12
  return (
    <g fill="none">
      {seen.handle !== null && <HandleFromEnd seen={seen} at={at} arc={arc} half={half} />}
      <circle cx={cx} cy={cy} r={(seen.widest / 2) * frame.scale} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.2" />
      <circle cx={cx} cy={cy} r={r} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
      {seen.bore !== null && (
        <circle
          cx={cx}
          cy={cy}
          r={(seen.bore.diameter / 2) * frame.scale}
          stroke="var(--ink)"
          strokeWidth="0.9"
          strokeDasharray={seen.bore.mouth === 'far' ? undefined : '4 3'}
        />
      )}
      {half > 0 && (
        <>
          <path
            d={`M${cx} ${cy}L${at(-half, radius)}M${cx} ${cy}L${at(half, radius)}`}
            stroke="var(--second)"
            strokeWidth="0.7"
          />
          <path d={arc(-half, Math.min(half, Math.PI - 1e-3), radius)} stroke="var(--ember)" strokeWidth="3.2" />
        </>
      )}
      <path
        d={`M${cx - cross} ${cy}H${cx + cross}M${cx} ${cy - cross}V${cy + cross}`}
        stroke="var(--second)"
        strokeWidth="0.8"
        strokeDasharray={CENTRE_LINE}
      />
    </g>
  )
}

/** The handle where it stands, and the way that its tip goes with the work. */
function HandleFromEnd(props: {
  readonly seen: Seen
  readonly at: (angle: number, away: number) => string
  readonly arc: (from: number, to: number, away: number) => string
  readonly half: number
}) {
  const { seen, at, arc, half } = props
  if (seen.handle === null) return null
  const { from, to, out, at: angle } = seen.handle
  const root = radiusOf(seen, (from + to) / 2)
  const wide = Math.asin(Math.min(0.3, 4 / root))
  const body = `M${at(angle - wide, root)}L${at(angle - (wide * root) / (root + out), root + out)}L${at(angle + (wide * root) / (root + out), root + out)}L${at(angle + wide, root)}`
  return (
    <>
      {half > 0 && (
        <path
          d={arc(angle - half, angle + Math.min(half, Math.PI - 1e-3), root + out)}
          stroke="var(--second)"
          strokeWidth="0.8"
          strokeDasharray="4 4"
        />
      )}
      <path d={body} stroke="var(--ink)" strokeWidth="1.3" fill="var(--paper)" />
    </>
  )
}
