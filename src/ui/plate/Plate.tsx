import { createContext, use, useEffect, useRef, useState, type ReactNode } from 'react'
import { useBenchStore } from '../../state'
import { Boundary } from '../Boundary'
import { fitPlate, type Extent, type Margins, type PlateFrame } from './frame'

const FrameContext = createContext<PlateFrame | null>(null)

/** How the drawing around it stands in its window. @throws {Error} outside a plate. */
export function usePlateFrame(): PlateFrame {
  const frame = use(FrameContext)
  if (frame === null) throw new Error('only inside a plate')
  return frame
}

/**
 * A drawing to scale, fitted into its window. Its lines go into `drawing` (SVG, px), what is typed into `fields`
 * (HTML over it). While a dimension is dragged the scale stands still.
 */
export function Plate(props: {
  readonly title: string
  readonly extent: Extent
  readonly margins: Margins
  readonly className: string
  readonly drawing: ReactNode
  readonly fields: ReactNode
}) {
  const { title, extent, margins, className, drawing, fields } = props
  const window = useRef<HTMLDivElement>(null)
  const [size, setSize] = useState({ width: 0, height: 0 })
  const dragging = useBenchStore((it) => it.overlay !== null)
  const [frozen, setFrozen] = useState<PlateFrame | null>(null)
  useEffect(() => {
    const node = window.current
    if (node === null) return
    const observer = new ResizeObserver(() => setSize({ width: node.clientWidth, height: node.clientHeight }))
    observer.observe(node)
    return () => observer.disconnect()
  }, [])
  const fitted = fitPlate(extent, size.width, size.height, margins)
  if (dragging && frozen === null) setFrozen(fitted)
  if (!dragging && frozen !== null) setFrozen(null)
  const frame = frozen ?? fitted
  return (
    <div
      ref={window}
      className={`relative ${className}`}
      data-plate={title}
      data-scale={size.width > 0 ? frame.scale : undefined}
    >
      {size.width > 0 && (
        <Boundary fallback={(message, again) => <Broken message={message} again={again} />}>
          <FrameContext value={frame}>
            <svg
              viewBox={`0 0 ${size.width} ${size.height}`}
              className="plate absolute inset-0 h-full w-full touch-none overflow-visible"
              aria-label={title}
              role="group"
            >
              {drawing}
            </svg>
            {fields}
          </FrameContext>
        </Boundary>
      )}
    </div>
  )
}

function Broken({ message, again }: { readonly message: string; readonly again: () => void }) {
  return (
    <div role="alert" className="border border-rule p-4">
      <p>This drawing could not be made: {message}. The facts are unharmed.</p>
      <button type="button" className="link" onClick={again}>
        Draw it again
      </button>
    </div>
  )
}
