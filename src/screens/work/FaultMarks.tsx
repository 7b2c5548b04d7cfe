import { useOrderBurnt, useWorkPlan } from '../../state'
import { usePlateFrame } from '../../ui'
import { useMoment, useRinged } from './chosenPiece'

/** Where it will go wrong: what leaves the travel, rings where it is too dark, triangles where what is cut free does not lie level. */
export function FaultMarks() {
  const frame = usePlateFrame()
  const program = useWorkPlan((it) => it.program)
  const isCame = useOrderBurnt((it) => it.came !== null)
  const isRinged = useRinged(program?.dark.count ?? 0)
  const isHidden = useMoment() !== null || isCame
  if (program === null || isHidden) return null
  const { dark, unsteady, beyond } = program
  return (
    <g>
      {beyond.length > 0 && (
        <path
          d={beyond.map(([x0, y0, x1, y1]) => `M${frame.x(x0)} ${frame.y(y0)}L${frame.x(x1)} ${frame.y(y1)}`).join('')}
          fill="none"
          stroke="var(--stop)"
          strokeWidth="1.6"
          data-beyond={beyond.length}
        />
      )}
      {isRinged &&
        dark.places.map((it) => (
          <circle
            key={`${it.x} ${it.y}`}
            cx={frame.x(it.x)}
            cy={frame.y(it.y)}
            r="4"
            fill="none"
            stroke="var(--look)"
            strokeWidth="1.2"
            data-dark={it.times.toFixed(1)}
          />
        ))}
      {unsteady.map((it) => (
        <path
          key={`${it.x} ${it.y}`}
          d="M0 -6.5 6.5 5.5H-6.5Z"
          transform={`translate(${frame.x(it.x)} ${frame.y(it.y)})`}
          fill="var(--look)"
          stroke="var(--paper)"
          strokeWidth="1"
          data-unsteady={it.how}
        />
      ))}
    </g>
  )
}
