import { shownNumber, type WithDoubt } from '../../core/bench'
import { densityGlance, densityToAskFor, densityWatching, wornDensity } from '../../core/safety'
import { useFigure } from '../../state'
import { Hatching, Plate, usePlateFrame } from '../../ui'

const MARGINS = { left: 156, right: 36, top: 30, bottom: 58 }
/** Whole densities that are always on the scale. */
const LEAST = 7
/** A row's height in steps of the scale, and the bar's within it. */
const ROW = 1
const BAR = 0.44

interface Need {
  readonly density: number
  readonly expanded: number
}

/** Densities that the beam asks for, with their ±, and the one that is certified, on one scale. */
export function EyewearPlate() {
  const [glance, watching] = [needOf(useFigure(densityGlance)), needOf(useFigure(densityWatching))]
  const worn = useFigure(wornDensity)
  const certified = (worn === null ? null : shownNumber(worn.result)) ?? 0
  if (glance === null || watching === null) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        Enter the optical power and the wavelength of the diode: then what the beam asks for stands here beside what is certified.
      </p>
    )
  }
  const most = Math.max(LEAST, Math.ceil(Math.max(certified, watching.density + watching.expanded) + 0.5))
  return (
    <Plate
      title="Optical density, asked for and certified"
      extent={{ left: 0, right: most, bottom: 0, top: 3 * ROW }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(240px,min(46vh,52vw),420px)] shrink-0 print:h-[280px]"
      drawing={<Scale most={most} glance={glance} watching={watching} certified={certified} />}
      fields={null}
    />
  )
}

function needOf(figure: WithDoubt | null): Need | null {
  const density = figure === null ? null : shownNumber(figure.result)
  return density === null ? null : { density: Math.max(0, density), expanded: figure?.doubt?.expanded ?? 0 }
}

function Scale(props: { readonly most: number; readonly glance: Need; readonly watching: Need; readonly certified: number }) {
  const { most, glance, watching, certified } = props
  const frame = usePlateFrame()
  const ask = densityToAskFor(watching.density, watching.expanded)
  const [left, base] = [frame.x(0), frame.y(0)]
  return (
    <g>
      <Hatching id="asked" />
      {Array.from({ length: most + 1 }, (_, i) => (
        <g key={i}>
          <path d={`M${frame.x(i)} ${frame.y(3 * ROW)}V${base + 5}`} stroke="var(--rule)" />
          <text x={frame.x(i)} y={base + 19} textAnchor="middle" className="num" fontSize="12" fill="var(--second)">
            {i}
          </text>
        </g>
      ))}
      <path d={`M${left} ${base}H${frame.x(most)}`} stroke="var(--ink)" />
      <text x={(left + frame.x(most)) / 2} y={base + 42} textAnchor="middle" fontSize="12" fill="var(--second)">
        optical density
      </text>
      <Asked row={2} words="asked for, a glance" need={glance} />
      <Asked row={1} words="asked for, watching" need={watching} />
      <Certified density={certified} enough={certified >= ask} />
      <path d={`M${frame.x(ask)} ${frame.y(3 * ROW) - 6}V${base}`} stroke="var(--ink)" strokeWidth="1.2" strokeDasharray="5 3" />
      <text x={frame.x(ask)} y={frame.y(3 * ROW) - 12} textAnchor="middle" fontSize="12" fill="var(--ink)">
        ask for <tspan className="num">OD {ask.toFixed(1)}</tspan> or more
      </text>
    </g>
  )
}

function Row({ row, words }: { readonly row: number; readonly words: string }) {
  const frame = usePlateFrame()
  return (
    <text x={frame.x(0) - 10} y={frame.y(row + ROW / 2) + 4} textAnchor="end" fontSize="13" fill="var(--ink)">
      {words}
    </text>
  )
}

/** What the beam asks for: hatched up to it, its ± as a bar with ends. */
function Asked({ row, words, need }: { readonly row: number; readonly words: string; readonly need: Need }) {
  const frame = usePlateFrame()
  const { density, expanded } = need
  const middle = frame.y(row + ROW / 2)
  const height = frame.scale * BAR
  const [low, high] = [frame.x(Math.max(0, density - expanded)), frame.x(density + expanded)]
  return (
    <g>
      <Row row={row} words={words} />
      <rect
        x={frame.x(0)}
        y={middle - height / 2}
        width={frame.x(density) - frame.x(0)}
        height={height}
        fill="url(#asked)"
        stroke="var(--ink)"
        strokeWidth="0.8"
      />
      <path
        d={`M${low} ${middle}H${high}M${low} ${middle - 5}v10M${high} ${middle - 5}v10`}
        stroke="var(--ink)"
        strokeWidth="1.4"
      />
    </g>
  )
}

function Certified({ density, enough }: { readonly density: number; readonly enough: boolean }) {
  const frame = usePlateFrame()
  const middle = frame.y(ROW / 2)
  const height = frame.scale * BAR
  return (
    <g>
      <Row row={0} words="certified" />
      {density > 0 ? (
        <rect
          x={frame.x(0)}
          y={middle - height / 2}
          width={frame.x(density) - frame.x(0)}
          height={height}
          fill={enough ? 'var(--tape)' : 'none'}
          stroke="var(--ink)"
          strokeWidth="1.4"
        />
      ) : (
        <text x={frame.x(0) + 8} y={middle + 4} fontSize="12.5" fill="var(--second)">
          no certificate at this wavelength
        </text>
      )}
    </g>
  )
}
