import type { KeyboardEvent, PointerEvent } from 'react'
import { moveHead } from '../../state'
import { CENTRE_LINE, useDrag, usePlateFrame } from '../../ui'
import type { Box, Plan } from './plan'

/** The head follows the pointer while it is pressed, on the floor or on the carriage itself. */
function useHeadDrag(plan: Plan, step?: (right: number, up: number, event: KeyboardEvent) => void) {
  const frame = usePlateFrame()
  const follow = (event: PointerEvent<SVGElement>): void => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    if (box === undefined) return
    const { x, y } = frame.mm(event.clientX - box.left, event.clientY - box.top)
    moveWithin(plan, x, y)
  }
  return useDrag({ begin: follow, move: (_, event) => follow(event), ...(step === undefined ? {} : { step }) })
}

/** The space inside the frame: press, and the head goes there. */
export function Floor({ plan }: { readonly plan: Plan }) {
  const frame = usePlateFrame()
  const drag = useHeadDrag(plan)
  const { outer } = plan
  return (
    <rect
      data-floor
      x={frame.x(outer.x)}
      y={frame.y(outer.y + outer.h)}
      width={outer.w * frame.scale}
      height={outer.h * frame.scale}
      fill="transparent"
      style={{ cursor: 'crosshair' }}
      {...drag}
    />
  )
}

function moveWithin({ work, movingBed, carriage }: Plan, x: number, y: number): void {
  // A moving bed is taken by its middle: further back is further in front for the head.
  const along = movingBed ? work.h - y : y
  const drawn = { x: carriage.x + carriage.w / 2, y: carriage.y + carriage.h / 2 }
  moveHead({ x: Math.min(Math.max(x, 0), work.w), y: Math.min(Math.max(along, 0), work.h) }, drawn)
}

/** The carriage with its diode and centre lines; dragged, or moved by the arrow keys. */
export function Carriage({ plan, rect }: { readonly plan: Plan; readonly rect: (box: Box) => object }) {
  const frame = usePlateFrame()
  const { carriage } = plan
  const [x, y] = [carriage.x + carriage.w / 2, carriage.y + carriage.h / 2]
  const [cx, cy] = [frame.x(x), frame.y(y)]
  const drag = useHeadDrag(plan, (right, up, { shiftKey }) => {
    const far = shiftKey ? 1 : 10
    moveWithin(plan, x + right * far, y + up * far)
  })
  return (
    <g
      tabIndex={0}
      role="application"
      aria-label="Carriage; arrow keys move it by 10 mm, with Shift by 1 mm"
      style={{ cursor: 'move' }}
      {...drag}
      data-carriage={`${x.toFixed(2)},${y.toFixed(2)}`}
    >
      <rect {...rect(carriage)} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
      <rect {...rect(plan.diode)} fill="none" stroke="var(--ink)" strokeWidth="1" />
      <path d={`M${cx - 30} ${cy}h60M${cx} ${cy - 32}v64`} stroke="var(--ink)" strokeWidth="0.8" strokeDasharray={CENTRE_LINE} />
      <circle cx={cx} cy={cy} r="2" fill="var(--ink)" />
    </g>
  )
}
