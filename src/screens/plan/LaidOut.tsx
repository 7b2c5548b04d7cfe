import { cutListOf } from '../../core/motion'
import { barLength, LAID_OUT, type LaidBar } from '../../core/schedule'
import { shownNumber } from '../../core/bench'
import { sayQuantity } from '../../core/units'
import { useBenchStore, useFigure, useJudgedBench } from '../../state'
import { Panel } from '../../ui'

/** The frame as it lies on the floor: each bar by its letter, its ends by their numbers, the nuts that go in first. */
export function LaidOut() {
  const bench = useBenchStore((it) => it.bench)
  useJudgedBench()
  const lengths = { front: useLength('front'), side: useLength('side'), gantry: useLength('gantry') }
  if (bench === null || cutListOf(bench.motion.kinematics.chosen, null).bars.length === 0) return null
  const unit = bench.units === 'metric' ? 'mm' : 'in'
  const long = ({ letter }: LaidBar): string => {
    const mm = letter === 'E' ? lengths.gantry : letter === 'A' || letter === 'C' ? lengths.front : lengths.side
    return mm === null ? 'length not known yet' : sayQuantity(Math.round(mm * 10) / 10, null, unit)
  }
  return (
    <Panel title="Given, the frame laid out">
      <div className="mt-2 grid gap-5 sm:grid-cols-[20rem_minmax(0,1fr)]">
        <FrameDrawing />
        <ol className="m-0 list-none p-0 text-[13.5px]">
          {LAID_OUT.map((bar) => (
            <li key={bar.letter} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1.5">
              <strong className="num w-5 font-[650]">{bar.letter}</strong>
              <span className="min-w-32 flex-1">
                {bar.name}, ends {bar.ends[0]} and {bar.ends[1]}
              </span>
              <span className="num text-second">{long(bar)}</span>
              <span className="w-full pl-8 text-[12.5px] text-second">
                {bar.nuts} {bar.nuts === 1 ? 'nut' : 'nuts'} for the frame
                {bar.closed ? ': slide them in first, its ends will be closed' : ': its ends stay open, more can follow'}
              </span>
            </li>
          ))}
        </ol>
      </div>
      <p className="mt-2 max-w-[46rem] text-[13px] text-second">
        Write the letters on tape and the numbers on the ends. Nuts that turn in can come last; those that only slide must be
        counted first, with two to spare for each slot that will be closed.
      </p>
    </Panel>
  )
}

function useLength(bar: 'front' | 'side' | 'gantry'): number | null {
  const figure = useFigure(barLength, bar)
  return figure === null ? null : shownNumber(figure.result)
}

const WIDE = 12

/** The five bars from above, to no scale; dots are nuts. */
function FrameDrawing() {
  const bar = (x: number, y: number, w: number, h: number) => (
    <rect x={x} y={y} width={w} height={h} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.3" />
  )
  const end = (x: number, y: number, number: number) => (
    <text key={number} x={x} y={y} fontSize="11" className="num" fill="var(--second)" textAnchor="middle">
      {number}
    </text>
  )
  const letter = (x: number, y: number, of: string) => (
    <text x={x} y={y} fontSize="14" fontWeight="650" fill="var(--ink)" textAnchor="middle">
      {of}
    </text>
  )
  const [left, right, top, bottom] = [40, 280, 30, 210]
  const nuts = [left + 24, left + 36, right - 24, right - 36].flatMap((x) => [
    [x, top + WIDE / 2],
    [x, bottom - WIDE / 2],
  ])
  const inSides = [top + 30, top + 42, bottom - 30, bottom - 42].flatMap((y) => [
    [left + WIDE / 2, y],
    [right - WIDE / 2, y],
  ])
  return (
    <svg viewBox="0 0 320 250" className="plate h-auto w-full max-w-[20rem]" role="img" aria-label="Bars A to E from above">
      {bar(left, bottom - WIDE, right - left, WIDE)}
      {bar(left, top, right - left, WIDE)}
      {bar(left, top + WIDE, WIDE, bottom - top - 2 * WIDE)}
      {bar(right - WIDE, top + WIDE, WIDE, bottom - top - 2 * WIDE)}
      {bar(left + 16, 112, right - left - 32, WIDE)}
      {[...nuts, ...inSides].map(([x = 0, y = 0]) => (
        <circle key={`${x},${y}`} cx={x} cy={y} r="2.6" fill="var(--teal)" />
      ))}
      {letter(160, bottom + 16, 'A')}
      {letter(right + 14, 124, 'B')}
      {letter(160, top - 8, 'C')}
      {letter(left - 14, 124, 'D')}
      {letter(160, 106, 'E')}
      {end(left - 8, bottom - 2, 1)}
      {end(right + 8, bottom - 2, 2)}
      {end(right + 10, bottom - 18, 3)}
      {end(right + 10, top + 28, 4)}
      {end(right + 8, top + 9, 5)}
      {end(left - 8, top + 9, 6)}
      {end(left - 10, top + 28, 7)}
      {end(left - 10, bottom - 18, 8)}
      {end(left + 26, 138, 9)}
      {end(right - 28, 138, 10)}
      <text x="160" y="244" fontSize="11" fill="var(--second)" textAnchor="middle">
        front; dots: nuts of the corners
      </text>
    </svg>
  )
}
