import { useEffect, useMemo, useRef } from 'react'
import { useBenchStore, useOrderBurnt, useWorkPlan } from '../../state'
import { usePlateFrame } from '../../ui'
import { sheetShapes } from './orderShapes'

/** The sheet as the burn will leave it, laid under the drawing; paler while another one is being worked. */
export function BurntSheet() {
  const frame = usePlateFrame()
  const picture = useOrderBurnt((it) => it.came?.picture ?? it.picture)
  const isCame = useOrderBurnt((it) => it.came !== null)
  const box = useOrderBurnt((it) => it.box)
  const of = useOrderBurnt((it) => it.of)
  const program = useWorkPlan((it) => it.program)
  const work = useBenchStore((it) => it.bench?.work ?? null)
  const sheets = useMemo(() => (work === null ? [] : sheetShapes(work).filter((it) => it.isIn)), [work])
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const node = canvas.current
    if (node === null || picture === null) return
    node.width = picture.width
    node.height = picture.height
    const pen = node.getContext('2d')
    if (pen === null) return
    // What lies beside the sheets is the bed, not the material.
    if (box !== null && sheets.length > 1) {
      const scale = picture.width / (box.right - box.left)
      pen.beginPath()
      for (const it of sheets) {
        pen.rect(
          (it.left - box.left) * scale,
          (box.top - it.top) * scale,
          (it.right - it.left) * scale,
          (it.top - it.bottom) * scale,
        )
      }
      pen.clip()
    }
    pen.drawImage(picture, 0, 0)
  }, [picture, box, sheets])
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
