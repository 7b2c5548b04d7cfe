import { useEffect, useRef } from 'react'
import { axisIds, type Bench } from '../../core/document'
import { drawMade, drawProgram, lookAtPlace, useBenchStore, useProgram, useSettings, type ProgramSummary } from '../../state'
import { CENTRE_LINE, Plate, ScaleBar, usePlateFrame, type Extent } from '../../ui'
import { OnlyWays } from './Comparing'
import { useProgramTool } from './programTool'
import { HeadOfProgram } from './ProgramScrub'

const MARGINS = { left: 30, right: 30, top: 16, bottom: 44 }

/** What the program burns, to scale, on the travel of the machine: ember where the beam is on, thin where it is not. */
export function ProgramPlate({ survey }: { readonly survey: ProgramSummary }) {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const travel = programTravel(bench)
  return (
    <Plate
      title="What the program does"
      extent={programExtent(survey, travel)}
      margins={MARGINS}
      className="keep-together h-full min-h-[260px] print:h-[420px]"
      drawing={
        <>
          <ProgramTravel travel={travel} />
          <Pointing />
        </>
      }
      fields={
        <>
          <Way survey={survey} />
          <OnlyWays survey={survey} />
          <InHand />
          <HeadOfProgram />
        </>
      }
    />
  )
}

/** The way of the head up to the moment that is looked at; where something was made of the program, that over the way as it was. */
function Way({ survey }: { readonly survey: ProgramSummary }) {
  const made = useProgramTool((it) => it.made)
  const moment = useProgram((it) => it.moment)
  const shown = made?.of === survey && moment === null ? made.program : null
  const label =
    shown === null ? 'The way of the head, ember where the beam is on' : 'The way as it was, thin, and what is burnt now, ember'
  return <ProgramPath of={shown ?? moment ?? survey} draw={shown === null ? drawProgram : drawMade} label={label} />
}

interface Travel {
  readonly x: number | null
  readonly y: number | null
}

export function programTravel(bench: Bench): Travel {
  const of = (letter: string): number | null => {
    const id = axisIds(bench).find((it) => bench.motion.axes[it]?.letter === letter)
    return id === undefined ? null : (bench.motion.axes[id]?.travel.value ?? null)
  }
  return { x: of('X'), y: of('Y') }
}

export function programExtent({ bounds }: ProgramSummary, { x, y }: Travel): Extent {
  const box = {
    left: Math.min(0, bounds?.minX ?? 0),
    right: Math.max(x ?? 0, bounds?.maxX ?? 0),
    bottom: Math.min(0, bounds?.minY ?? 0),
    top: Math.max(y ?? 0, bounds?.maxY ?? 0),
  }
  return { ...box, right: Math.max(box.right, box.left + 1), top: Math.max(box.top, box.bottom + 1) }
}

export function ProgramTravel({ travel: { x, y } }: { readonly travel: Travel }) {
  const frame = usePlateFrame()
  return (
    <>
      {x !== null && y !== null && (
        <rect
          x={frame.x(0)}
          y={frame.y(y)}
          width={x * frame.scale}
          height={y * frame.scale}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1"
          strokeDasharray={CENTRE_LINE}
        />
      )}
      <path d={`M${frame.x(0)} ${frame.y(0)}h18M${frame.x(0)} ${frame.y(0)}v-18`} stroke="var(--ink)" strokeWidth="1.6" />
      {frame.width > 560 && <ScaleBar right={frame.width - 24} bottom={frame.height} />}
    </>
  )
}

/** A press looks at the line whose way passes there. */
function Pointing() {
  const { width, height, scale, mm } = usePlateFrame()
  return (
    <rect
      width={width}
      height={height}
      fill="transparent"
      className="cursor-crosshair"
      onClick={(event) => {
        const edge = event.currentTarget.getBoundingClientRect()
        const { x, y } = mm(event.clientX - edge.left, event.clientY - edge.top)
        void lookAtPlace(x, y, NEAR_PX / scale)
      }}
    />
  )
}

/** How near to a way a press must be, px. */
const NEAR_PX = 12

/** What the line in hand does: its way, with a ring where it ends. */
export function InHand() {
  const way = useProgram((it) => it.way)
  const { width, height, x, y } = usePlateFrame()
  if (way === null) return null
  const at = (i: number): string => `${x(way.x[i] ?? 0)} ${y(way.y[i] ?? 0)}`
  const last = way.x.length - 1
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="pointer-events-none absolute inset-0 h-full w-full" data-way>
      <path d={`M${way.x.map((_, i) => at(i)).join('L')}`} fill="none" stroke="var(--paper)" strokeWidth="7" opacity="0.8" />
      <path
        d={`M${way.x.map((_, i) => at(i)).join('L')}`}
        fill="none"
        stroke="var(--teal)"
        strokeWidth="3"
        {...(way.lit ? {} : { strokeDasharray: '6 4' })}
      />
      <circle cx={x(way.x[last] ?? 0)} cy={y(way.y[last] ?? 0)} r="5" fill="var(--paper)" stroke="var(--teal)" strokeWidth="2" />
    </svg>
  )
}

/** The path, drawn away from the page and laid in as one picture. */
export function ProgramPath(props: {
  /** Drawn anew when it is another one. */
  readonly of: unknown
  readonly draw: typeof drawProgram
  readonly label: string
}) {
  const { of, draw, label } = props
  const { width, height, scale, x, y } = usePlateFrame()
  const [originX, originY] = [x(0), y(0)]
  const theme = useSettings((it) => it.theme)
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const node = canvas.current
    if (node === null) return
    let here = true
    const style = getComputedStyle(node)
    const colour = (name: string): string => {
      node.style.color = `var(${name})`
      return style.color
    }
    const view = {
      width,
      height,
      scale,
      originX,
      originY,
      density: devicePixelRatio,
      dark: colour('--second'),
      lit: colour('--ember'),
    }
    void draw(view).then((picture) => {
      if (!here || picture === null) return
      node.width = picture.width
      node.height = picture.height
      node.getContext('bitmaprenderer')?.transferFromImageBitmap(picture)
    })
    return () => {
      here = false
    }
  }, [of, draw, width, height, scale, originX, originY, theme])
  return <canvas ref={canvas} className="pointer-events-none absolute inset-0 h-full w-full" role="img" aria-label={label} />
}
