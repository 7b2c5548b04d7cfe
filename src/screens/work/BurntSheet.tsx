import { useEffect, useRef } from 'react'
import { useOrderBurnt, useWorkPlan } from '../../state'
import { usePlateFrame } from '../../ui'

/** The sheet as the burn will leave it, laid under the drawing; paler while another one is being worked. */
export function BurntSheet() {
  const frame = usePlateFrame()
  const picture = useOrderBurnt((it) => it.came?.picture ?? it.picture)
  const isCame = useOrderBurnt((it) => it.came !== null)
  const box = useOrderBurnt((it) => it.box)
  const of = useOrderBurnt((it) => it.of)
  const program = useWorkPlan((it) => it.program)
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const node = canvas.current
    if (node === null || picture === null) return
    node.width = picture.width
    node.height = picture.height
    node.getContext('2d')?.drawImage(picture, 0, 0)
  }, [picture])
  if (picture === null || box === null || program === null) return null
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={isCame ? 'The sheet as it came out' : 'The sheet as the burn will leave it'}
      data-burnt={isCame ? 'came' : of === program ? 'now' : 'before'}
      className="pointer-events-none absolute -z-10"
      style={{
        left: frame.x(box.left),
        top: frame.y(box.top),
        width: (box.right - box.left) * frame.scale,
        height: (box.top - box.bottom) * frame.scale,
        opacity: of === program ? 1 : 0.35,
      }}
    />
  )
}
