import { useState } from 'react'
import { drawingToDxf, drawingToSvg } from '../../core/artwork'
import { plainly } from '../../core/bench'
import { insertPlates, panelBlocks, panelDrawings, type Enclosure } from '../../core/housing'
import { PANEL_WORDS } from '../../core/nesting'
import type { Bench } from '../../core/document'
import { printFixed } from '../../core/units'
import { DONE, insertsToWork, shownBench, useBenchStore, type Told } from '../../state'
import { download, Findings, useDrag } from '../../ui'
import { facesSeen, projected, PULL, type Look } from './exploded'
import { sideBySide, type SideBySide } from './panelFiles'
import { seenBox } from './seen'
import { ThreeViews } from './ThreeViews'

const SIZE = { width: 820, height: 440 } as const

/** The box pulled apart, its three views, and its parts out as files. */
export function DrawingPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const seen = seenBox(bench)
  if (seen === null || seen.box === null)
    return (
      <p className="my-6 max-w-[40rem] text-second" data-plate="The box pulled apart">
        The box is drawn once it has its sizes and its sheet.
      </p>
    )
  return (
    <div className="mt-2 shrink-0" data-plate="The box pulled apart">
      <Exploded box={seen.box} t={seen.t} />
      <Files bench={bench} box={seen.box} />
      <ThreeViews box={seen.box} t={seen.t} />
    </div>
  )
}

const FIRST: Look = { yaw: 0.6, pitch: 0.5, apart: 0.45 }

function Exploded({ box, t }: { readonly box: Enclosure; readonly t: number }) {
  const [look, setLook] = useState(FIRST)
  const [from, setFrom] = useState(FIRST)
  const drag = useDrag({
    begin: () => setFrom(look),
    move: ({ dx, dy }) =>
      setLook({ ...look, yaw: from.yaw - dx / 150, pitch: Math.min(1.4, Math.max(-0.3, from.pitch + dy / 200)) }),
    cancel: () => setLook(from),
    step: (right, up) =>
      setLook({ ...look, yaw: look.yaw - right * 0.12, pitch: Math.min(1.4, Math.max(-0.3, look.pitch + up * 0.08)) }),
  })
  const size = Math.max(box.outside.x, box.outside.y, box.outside.z)
  const faces = facesSeen(panelBlocks(box, t), t, size, look)
  const all = faces.flatMap((it) => it.corners)
  const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))]
  const [low, high] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))]
  const scale = Math.min((SIZE.width - 60) / (right - left), (SIZE.height - 40) / (high - low))
  const at = ([x, y]: readonly [number, number]): string =>
    `${(SIZE.width / 2 + (x - (left + right) / 2) * scale).toFixed(1)} ${(SIZE.height / 2 - (y - (low + high) / 2) * scale).toFixed(1)}`
  return (
    <figure className="keep-together m-0">
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="plate w-full max-w-[900px] cursor-grab touch-none"
        tabIndex={0}
        role="img"
        aria-label="The box pulled apart; drag it or use the arrow keys to turn it"
        data-turned={look.yaw.toFixed(2)}
        {...drag}
      >
        {faces.map((it, k) => (
          <path
            key={k}
            d={`M${it.corners.map(at).join('L')}Z`}
            fill={`color-mix(in srgb, var(--paper) ${Math.round(62 + 38 * it.light)}%, var(--second))`}
            stroke="var(--ink)"
            strokeWidth="1"
            strokeLinejoin="round"
          />
        ))}
        <Names box={box} t={t} size={size} look={look} at={at} />
      </svg>
      <label className="no-print flex items-center gap-3 text-[13.5px]">
        Pulled apart
        <input
          type="range"
          className="accent-[var(--teal)]"
          min="0"
          max="100"
          value={Math.round(look.apart * 100)}
          aria-label="How far the panels are pulled apart"
          onChange={(event) => setLook({ ...look, apart: Number(event.target.value) / 100 })}
        />
      </label>
    </figure>
  )
}

/** What each panel is called, in its middle. */
function Names(props: {
  readonly box: Enclosure
  readonly t: number
  readonly size: number
  readonly look: Look
  readonly at: (place: readonly [number, number]) => string
}) {
  const { box, t, size, look, at } = props
  if (look.apart < 0.15) return null
  return panelBlocks(box, t).map(({ name, low, high }) => {
    const pull = look.apart * size * 0.6
    const [px, py, pz] = PULL[name]
    const middle = [
      (low[0] + high[0]) / 2 + px * pull,
      (low[1] + high[1]) / 2 + py * pull,
      (low[2] + high[2]) / 2 + pz * pull,
    ] as const
    const [x = '0', y = '0'] = at([projected(middle, look)[0], projected(middle, look)[1]]).split(' ')
    return (
      <text
        key={name}
        x={x}
        y={y}
        textAnchor="middle"
        fontSize="12"
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth="3"
        className="[paint-order:stroke]"
      >
        {PANEL_WORDS[name]}
      </text>
    )
  })
}

/** All panels, and the plates that go over their openings, side by side on one drawing each. */
function Files({ bench, box }: { readonly bench: Bench; readonly box: Enclosure }) {
  const [said, say] = useState<Told>(DONE)
  const ports = Object.values(bench.housing.ports).map((it) => plainly(it))
  const panels = panelDrawings(box, ports).map(({ panel, contour, holes }) => ({
    name: PANEL_WORDS[panel.name],
    width: panel.along,
    height: panel.across,
    cut: [contour, ...holes.map((it) => it.outline)],
  }))
  const inserts = insertPlates(ports)
  const [laid, plates] = [sideBySide(panels), sideBySide(inserts)]
  const svg = ({ width, height, layers }: SideBySide): string => drawingToSvg(width, height, layers)
  const text = (made: string): Uint8Array => new TextEncoder().encode(made)
  const save = (name: string, made: string, type: string): void => download(name, text(made), type)
  return (
    <div className="no-print py-2">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => save('panels.svg', svg(laid), 'image/svg+xml')}>
          Save the panels as SVG
        </button>
        <button type="button" className="button" onClick={() => save('panels.dxf', drawingToDxf(laid.layers), 'image/vnd.dxf')}>
          Save the panels as DXF
        </button>
        <span className="self-center text-[13px] text-second">
          {panels.length} panels, {printFixed(laid.width, 0)} × {printFixed(laid.height, 0)} mm side by side, kerf not counted
        </span>
      </div>
      {inserts.length > 0 && (
        <div className="flex flex-wrap gap-2 pt-2">
          <button type="button" className="button" onClick={() => save('inserts.svg', svg(plates), 'image/svg+xml')}>
            Save the inserts as SVG
          </button>
          <button
            type="button"
            className="button"
            onClick={() => save('inserts.dxf', drawingToDxf(plates.layers), 'image/vnd.dxf')}
          >
            Save the inserts as DXF
          </button>
          <button type="button" className="button" onClick={() => void insertsToWork(svg(plates)).then(say)}>
            Lay the inserts on the work order
          </button>
          <span className="self-center text-[13px] text-second">
            {inserts.length} {inserts.length === 1 ? 'plate' : 'plates'} over openings and labels; acrylic or plywood of 3 mm,
            never PVC
          </span>
        </div>
      )}
      <Findings findings={said} />
    </div>
  )
}
