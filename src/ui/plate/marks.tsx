import { printNumber } from '../../core/units'
import { useUnits } from '../Quantity'
import { scaleBarLength } from './frame'
import { usePlateFrame } from './Plate'

/** Section hatching at 45° (ISO 128-50), in one weight for every plate. */
export function Hatching({ id }: { readonly id: string }) {
  return (
    <defs>
      <pattern id={id} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7" stroke="var(--second)" strokeWidth="0.7" />
      </pattern>
    </defs>
  )
}

/** Centre lines: long dash, dot (ISO 128-20). */
export const CENTRE_LINE = '10 3 2 3'

/** A scale bar in round lengths of the bench's own system. */
export function ScaleBar({ right, bottom }: { readonly right: number; readonly bottom: number }) {
  const { scale } = usePlateFrame()
  const system = useUnits()
  const unitMm = system === 'metric' ? 1 : 25.4
  const length = scaleBarLength(120, scale, unitMm)
  const width = length * scale
  const left = right - width
  return (
    <g stroke="var(--ink)" fill="none" strokeWidth="0.8" aria-hidden>
      <rect x={left} y={bottom - 22} width={width} height="4" />
      <path d={`M${left} ${bottom - 20}h${width / 4}m${width / 4} 0h${width / 4}`} strokeWidth="4" />
      <g fill="var(--ink)" stroke="none" className="num" fontSize="11">
        <text x={left} y={bottom - 5} textAnchor="middle">
          0
        </text>
        <text x={right} y={bottom - 5} textAnchor="middle">
          {printNumber(length / unitMm)} {system === 'metric' ? 'mm' : 'in'}
        </text>
      </g>
    </g>
  )
}
