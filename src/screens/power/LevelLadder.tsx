import { LOGIC, LOGIC_NAMES, type LogicId } from '../../core/electrical'
import { Hatching } from '../../ui'

const [WIDTH, HEIGHT, FOOT] = [190, 300, 264]
const PER_VOLT = 46

const y = (volts: number): number => FOOT - volts * PER_VOLT

/** What an output gives and an input wants, on one scale of volts; hatched is what neither high nor low is. */
export function LevelLadder({ gives, wants }: { readonly gives: LogicId; readonly wants: LogicId }) {
  const [output, input] = [LOGIC[gives], LOGIC[wants]]
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="plate h-auto w-full max-w-[220px]"
      role="img"
      aria-label={`The output, ${LOGIC_NAMES[gives]}, gives at least ${output.gives.high} V for high and at most ${output.gives.low} V for low; the input, ${LOGIC_NAMES[wants]}, wants ${input.wants.high} V and ${input.wants.low} V`}
    >
      <Hatching id="levels-hatch" />
      <g fontSize="11.5" className="num" fill="var(--second)">
        {[0, 1, 2, 3, 4, 5].map((volts) => (
          <text key={volts} x="18" y={y(volts) + 4} textAnchor="end">
            {volts}
          </text>
        ))}
      </g>
      <path d={`M26 ${y(0)}V${y(5.1)}`} stroke="var(--ink)" strokeWidth="1" />
      {[0, 1, 2, 3, 4, 5].map((volts) => (
        <path key={volts} d={`M22 ${y(volts)}H26`} stroke="var(--ink)" strokeWidth="1" />
      ))}
      <Column x={38} title="output gives" high={output.gives.high} low={output.gives.low} top={output.volts} />
      <Column x={116} title="input wants" high={input.wants.high} low={input.wants.low} top={input.volts} />
      <path
        d={`M98 ${y(output.gives.high)}L116 ${y(input.wants.high)}M98 ${y(output.gives.low)}L116 ${y(input.wants.low)}`}
        stroke="var(--second)"
        strokeDasharray="2 2"
        fill="none"
      />
      <text x={26} y={HEIGHT - 4} fontSize="11.5" fill="var(--second)">
        volts
      </text>
    </svg>
  )
}

/** One side: high from a voltage up, low up to a voltage, and what lies between. */
function Column(props: {
  readonly x: number
  readonly title: string
  readonly high: number
  readonly low: number
  readonly top: number
}) {
  const { x, title, high, low, top } = props
  const block = { x, width: 60, stroke: 'var(--ink)', strokeWidth: 1.2 } as const
  return (
    <>
      <rect {...block} y={y(top)} height={y(high) - y(top)} fill="var(--paper)" />
      <rect {...block} y={y(high)} height={y(low) - y(high)} fill="url(#levels-hatch)" />
      <rect {...block} y={y(low)} height={y(0) - y(low)} fill="var(--paper)" />
      <g fontSize="11.5" fill="var(--ink)" textAnchor="middle">
        <text x={x + 30} y={(y(top) + y(high)) / 2 + 4}>
          high
        </text>
        <text x={x + 30} y={Math.min(y(0) - 3, (y(low) + y(0)) / 2 + 4)}>
          low
        </text>
        <text x={x + 30} y={y(0) + 16} fill="var(--second)">
          {title}
        </text>
      </g>
      <g fontSize="11" className="num" fill="var(--ink)" textAnchor="middle">
        <text x={x + 30} y={y(high) + 14}>
          {high} V
        </text>
        <text x={x + 30} y={y(low) - 5}>
          {low} V
        </text>
      </g>
    </>
  )
}
