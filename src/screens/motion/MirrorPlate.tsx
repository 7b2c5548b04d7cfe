import { shownNumber } from '../../core/bench'
import { fieldMap, halfField, type FieldMap } from '../../core/motion'
import { displayUnit, printNumber, fromCore } from '../../core/units'
import { useFigure } from '../../state'
import { Plate, ScaleBar, usePlateFrame, useUnits } from '../../ui'

const MARGINS = { left: 70, right: 70, top: 26, bottom: 52 }

/** The field of two turning mirrors: the grid as it should be, as it comes out unwarped, and how fine it is where. */
export function MirrorPlate() {
  const map = useFigure(fieldMap)
  if (map === null || !map.result.known) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        The field is drawn when its width along X and Y, the height of the mirrors and their motors are entered.
      </p>
    )
  }
  const { grid } = map.result.value
  const all = [...grid.bent, ...grid.straight].flat()
  const xs = all.map(([x]) => x)
  const ys = all.map(([, y]) => y)
  return (
    <Plate
      title="The field of the mirrors"
      extent={{ left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(280px,min(58vh,84vw),600px)] shrink-0 print:h-[360px]"
      drawing={<Field map={map.result.value} />}
      fields={null}
    />
  )
}

function Field({ map: { grid, places } }: { readonly map: FieldMap }) {
  const frame = usePlateFrame()
  const system = useUnits()
  const focus = useFigure(halfField)
  const reach = focus === null ? null : shownNumber(focus.result)
  const unit = displayUnit('stepsPerLength', system)
  const path = (lines: readonly (readonly (readonly [number, number])[])[]): string =>
    lines
      .map((line) => line.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${frame.x(x).toFixed(1)} ${frame.y(y).toFixed(1)}`).join(''))
      .join('')
  const say = (steps: number): string => printNumber(fromCore(steps, unit), 3)
  return (
    <>
      <path d={path(grid.straight)} fill="none" stroke="var(--ink)" strokeWidth="0.9" />
      <path d={path(grid.bent)} fill="none" stroke="var(--teal)" strokeWidth="1" strokeDasharray="4 3" />
      {reach !== null && (
        <circle
          cx={frame.x(0)}
          cy={frame.y(0)}
          r={reach * frame.scale}
          fill="none"
          stroke="var(--second)"
          strokeWidth="1"
          strokeDasharray="10 3 2 3"
          clipPath="url(#window)"
        />
      )}
      <clipPath id="window">
        <rect x="0" y="0" width={frame.width} height={frame.height} />
      </clipPath>
      {places.map(({ x, y, stepsX, stepsY }) => (
        <g key={`${x},${y}`} fontSize="11" className="num" textAnchor="middle" fill="var(--ink)">
          <circle cx={frame.x(x)} cy={frame.y(y)} r="2.4" fill="var(--ink)" />
          <Numbers x={frame.x(x)} y={frame.y(y) - 7} words={`${say(stepsX)} × ${say(stepsY)}`} />
        </g>
      ))}
      <g fontSize="11" fill="var(--second)">
        <text x="8" y={frame.height - 26}>
          Ink: as it should be. Dashed teal: as it comes out unwarped. Numbers: steps each {system === 'metric' ? 'mm' : 'in'}, X
          × Y.
        </text>
        <text x="8" y={frame.height - 10}>
          Dash and dot: how far the spot stays sharp.
        </text>
      </g>
      {frame.width > 620 && <ScaleBar right={frame.width - 24} bottom={frame.height} />}
    </>
  )
}

/** Width of a figure of the mono face at 11 px, px. */
const FIGURE = 6.2

/** Numbers on paper of their own, so that no line of the grid strikes them through. */
function Numbers({ x, y, words }: { readonly x: number; readonly y: number; readonly words: string }) {
  const width = words.length * FIGURE + 6
  return (
    <>
      <rect x={x - width / 2} y={y - 10} width={width} height="13" fill="var(--paper)" />
      <text x={x} y={y}>
        {words}
      </text>
    </>
  )
}
