import { heightOnRollers } from '../../core/rotary'
import type { Bench } from '../../core/document'
import { usePlateFrame } from '../../ui'
import { radiusOf, type Seen } from './seen'

type Rotary = Bench['rotary']
/** What is drawn of a disc or a body whose thickness nobody needs, mm. */
const THICK = 6
const BODY = 30

interface Held {
  readonly seen: Seen
  readonly rotary: Rotary
  /** How far below the axis the bed lies, mm; null while nobody knows. */
  readonly bed: number | null
}

/** What holds the object, from its side. */
export function HolderFromSide(props: Held) {
  switch (props.rotary.holding.chosen) {
    case 'rollers':
      return <Rollers {...props} />
    case 'chuck':
      return <Chuck {...props} />
    case 'centres':
      return <Centres {...props} />
    case 'plate':
      return <Lying {...props} />
    case null:
      return null
  }
}

/** A part in outline, hatched where it is cut. */
function Box({
  from,
  to,
  top,
  bottom,
}: {
  readonly from: number
  readonly to: number
  readonly top: number
  readonly bottom: number
}) {
  const frame = usePlateFrame()
  const [x, y] = [frame.x(from), frame.y(top)]
  const size = { width: Math.max(1, frame.x(to) - x), height: Math.max(1, frame.y(bottom) - y) }
  return <rect x={x} y={y} {...size} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.3" />
}

function Centres({ seen, rotary, bed }: Held) {
  const drive = (rotary.holder.discDiameter.value ?? radiusOf(seen, 0) * 2) / 2
  const tail = (rotary.holder.tailDiameter.value ?? 20) / 2
  const inBore = seen.bore?.mouth === 'driven' ? seen.bore.diameter / 2 - 0.4 : null
  return (
    <g>
      <Box from={-THICK - BODY} to={-THICK} top={Math.min(drive, 18)} bottom={bed === null ? -Math.min(drive, 18) : -bed} />
      <Box from={-THICK} to={0} top={drive} bottom={-drive} />
      {inBore !== null && <Box from={0} to={THICK} top={0} bottom={-inBore} />}
      <Box from={seen.length} to={seen.length + THICK} top={tail} bottom={-tail} />
      <Box
        from={seen.length + THICK}
        to={seen.length + THICK + BODY}
        top={Math.min(tail, 12)}
        bottom={bed === null ? -Math.min(tail, 12) : -bed}
      />
    </g>
  )
}

function Chuck({ seen, rotary, bed }: Held) {
  const drive = (rotary.holder.discDiameter.value ?? radiusOf(seen, 0) * 3) / 2
  const jaws = rotary.holder.jawLength.value ?? 15
  const r = radiusOf(seen, 0)
  return (
    <g>
      <Box from={-2 * BODY} to={-BODY} top={Math.min(drive, 24)} bottom={bed === null ? -Math.min(drive, 24) : -bed} />
      <Box from={-BODY} to={0} top={drive} bottom={-drive} />
      <Box from={-1} to={jaws} top={Math.max(drive, r + 4)} bottom={r} />
      <Box from={-1} to={jaws} top={-r} bottom={-Math.max(drive, r + 4)} />
    </g>
  )
}

/** A roller behind the object, and its bearings. */
function Rollers({ seen, rotary, bed }: Held) {
  const { rollerDiameter, rollerGap, rollerLength } = rotary.holder
  const roller = rollerDiameter.value ?? 20
  const middle = seen.length / 2
  const long = rollerLength.value ?? seen.length * 1.3
  const below = rollersBelow(seen, roller, rollerGap.value ?? roller + radiusOf(seen, middle))
  const [from, to] = [middle - long / 2, middle + long / 2]
  return (
    <g>
      <Box from={from - THICK} to={from} top={-below + roller / 2 + 4} bottom={bed === null ? -below - roller : -bed} />
      <Box from={to} to={to + THICK} top={-below + roller / 2 + 4} bottom={bed === null ? -below - roller : -bed} />
      <Box from={from} to={to} top={-below + roller / 2} bottom={-below - roller / 2} />
    </g>
  )
}

/** How far the rollers’ axes lie below the object’s, mm; as far as it can be drawn. */
export function rollersBelow(seen: Seen, roller: number, gap: number): number {
  const object = 2 * radiusOf(seen, seen.length / 2)
  return object + roller > gap ? heightOnRollers(object, roller, gap) : 0
}

function Lying({ seen, rotary, bed }: Held) {
  const depth = rotary.stack.slotDepth.value ?? 0
  const top = -radiusOf(seen, seen.length / 2) + depth
  return <Box from={-12} to={seen.length + 12} top={top} bottom={bed === null ? top - 12 : -bed} />
}
