import { CENTRE_LINE, usePlateFrame } from '../../ui'
import { halfWork, outlineOf, radiusOf, type Seen } from './seen'

type Place = readonly [at: number, radius: number]

/** Draws places of the side view: along the object, and over its axis, mm. */
export function useSide() {
  const frame = usePlateFrame()
  const at = (x: number, y: number): string => `${frame.x(x).toFixed(1)} ${frame.y(y).toFixed(1)}`
  const line = (places: readonly Place[], times = 1): string => `M${places.map(([x, r]) => at(x, r * times)).join('L')}`
  /** What lies between an outline, times one number and times another. */
  const band = (places: readonly Place[], over: number, under: number): string =>
    `${line(places, over)}L${[...places]
      .reverse()
      .map(([x, r]) => at(x, r * under))
      .join('L')}Z`
  return { frame, at, line, band }
}

/** An object from its side, its lower half in section; what is burnt and what is kept off on it. */
export function SideView({ seen }: { readonly seen: Seen }) {
  const { frame, at, line, band } = useSide()
  const outline = outlineOf(seen, 0, seen.length)
  const [left, right] = [radiusOf(seen, 0), radiusOf(seen, seen.length)]
  return (
    <g>
      {seen.handle !== null && <HandleFromSide seen={seen} />}
      <path d={band(outline, 1, -1)} fill="var(--paper)" stroke="none" />
      <Section seen={seen} />
      {seen.keepOff.map((it) => (
        <path
          key={it.id}
          d={band(outlineOf(seen, Math.max(0, it.from), Math.min(seen.length, it.to)), 1, 0)}
          fill="url(#keep-off)"
          stroke="none"
        />
      ))}
      {seen.work !== null && <WorkFromSide seen={seen} />}
      <path
        d={`${line(outline)}L${at(seen.length, -right)}${line(outline, -1)}M${at(0, left)}L${at(0, -left)}M${at(seen.length, right)}L${at(seen.length, -right)}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.6"
        strokeLinejoin="round"
      />
      {seen.work !== null && (
        <path d={line(outlineOf(seen, seen.work.from, seen.work.to))} fill="none" stroke="var(--ember)" strokeWidth="3.2" />
      )}
      <path
        d={`M${frame.x(0) - 34} ${frame.y(0)}H${frame.x(seen.length) + 34}`}
        stroke="var(--second)"
        strokeWidth="0.8"
        strokeDasharray={CENTRE_LINE}
      />
    </g>
  )
}

/** The lower half cut open: hatched wall, empty bore. */
function Section({ seen }: { readonly seen: Seen }) {
  const { at, band, line } = useSide()
  const { bore, length } = seen
  const outline = outlineOf(seen, 0, length)
  const solid = <path d={band(outline, 0, -1)} fill="url(#cut)" stroke="none" />
  if (bore === null) return solid
  const [from, to] = bore.mouth === 'driven' ? [0, bore.depth] : [length - bore.depth, length]
  // Where the outside narrows the inside does: no wall is thinner than a hundredth of the width.
  const inner = outlineOf(seen, from, to).map(([x, r]) => [x, Math.min(bore.diameter / 2, r - Math.max(0.6, r / 50))] as const)
  const bottom = bore.mouth === 'driven' ? to : from
  return (
    <>
      {solid}
      <path d={band(inner, 0, -1)} fill="var(--paper)" stroke="none" />
      <path
        d={`${line(inner, -1)}M${at(bottom, 0)}L${at(bottom, -(inner.find(([x]) => x === bottom)?.[1] ?? 0))}`}
        stroke="var(--ink)"
        strokeWidth="0.9"
        fill="none"
      />
    </>
  )
}

/** The work on the upper side, as far as it is seen from here. */
function WorkFromSide({ seen }: { readonly seen: Seen }) {
  const { band } = useSide()
  if (seen.work === null) return null
  const places = outlineOf(seen, seen.work.from, seen.work.to)
  const half = halfWork(seen)
  const down = half === 0 ? 0.985 : Math.cos(Math.min(half, Math.PI / 2))
  return <path d={band(places, 1, down)} fill="var(--ember)" fillOpacity="0.13" stroke="var(--ember)" strokeWidth="0.9" />
}

/** A handle as it stands to the side of the work. */
function HandleFromSide({ seen }: { readonly seen: Seen }) {
  const { at } = useSide()
  if (seen.handle === null) return null
  const { from, to, out, at: angle } = seen.handle
  const times = Math.cos(angle)
  const y = (place: number, more: number): number => (radiusOf(seen, place) + more) * times
  // Its bows lie a quarter of what it stands out inside its ends.
  const round = Math.min(out, (to - from) / 2) * 0.5
  const loop = (less: number): string => {
    const [a, b, tip] = [from + less, to - less, out - less]
    return `M${at(a, y(a, 0))}L${at(a, y(a, tip - round))}Q${at(a, y(a, tip))} ${at(a + round, y(a, tip))}L${at(b - round, y(b, tip))}Q${at(b, y(b, tip))} ${at(b, y(b, tip - round))}L${at(b, y(b, 0))}`
  }
  const thick = Math.min(6, out / 3, (to - from) / 4)
  return <path d={`${loop(0)}${loop(thick)}`} fill="none" stroke="var(--ink)" strokeWidth="1.3" strokeLinejoin="round" />
}
