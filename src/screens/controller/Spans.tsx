import { useState } from 'react'
import { BY_SPANS, spanScale, spanSteps } from '../../core/calibrate'
import { axisIds, type Bench } from '../../core/document'
import { sayQuantity } from '../../core/units'
import { addSpan, applySpans, DONE, removeSpan, type Told } from '../../state'
import { FactField, FigureRow, Findings, Panel, TakeAway } from '../../ui'

/** Axes that a scale run does not mark, such as Z or a rotary: several spans commanded by hand, and what was measured. */
export function Spans({ bench }: { readonly bench: Bench }) {
  const others = axisIds(bench).filter((id) => !['X', 'Y'].includes(bench.motion.axes[id]?.letter ?? ''))
  return (
    <>
      {others.map((id) => (
        <OfAxis key={id} bench={bench} axisId={id} />
      ))}
    </>
  )
}

function OfAxis({ bench, axisId }: { readonly bench: Bench; readonly axisId: string }) {
  const [typed, setTyped] = useState('')
  const [said, say] = useState<Told>(DONE)
  const letter = bench.motion.axes[axisId]?.letter ?? ''
  const spans = Object.entries(bench.calibrate.spans)
    .filter(([, it]) => it.axis === axisId)
    .sort(([, p], [, q]) => p.order - q.order)
  const isApplied = bench.calibrate.applied[axisId] === BY_SPANS
  const length = (mm: number): string => sayQuantity(mm, null, bench.units === 'metric' ? 'mm' : 'in')
  return (
    <Panel title={`Given, spans of ${letter} moved by hand`}>
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Tell {letter} to go two or more different ways, always from the same side, the beam’s supply off, and measure each.
      </p>
      <ul className="m-0 list-none p-0">
        {spans.map(([id, it]) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1.5 text-[14px]">
            Told to go <span className="num">{length(it.commanded)}</span>, it went{' '}
            <FactField path={`calibrate.spans.${id}.measured`} small />
            <TakeAway what={`Take the span of ${length(it.commanded)} away`} act={() => removeSpan(id)} />
          </li>
        ))}
      </ul>
      <form
        className="no-print mt-2 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          const found = addSpan(axisId, typed)
          say(found)
          if (found.length === 0) setTyped('')
        }}
      >
        <input
          className="input num min-h-8 w-28 py-0.5"
          aria-label={`Span that ${letter} was told to go`}
          placeholder={bench.units === 'metric' ? '50 mm' : '2 in'}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button type="submit" className="button" disabled={typed.trim() === ''}>
          Add this span
        </button>
        {spans.length > 0 && (
          <button type="button" className="button" onClick={() => void applySpans(axisId, !isApplied).then(say)}>
            {isApplied ? `Take ${letter} off its spans` : `Let the steps of ${letter} follow its spans`}
          </button>
        )}
      </form>
      <Findings findings={said} />
      {spans.length > 0 && (
        <div className="mt-2 max-w-[30rem]">
          <FigureRow def={spanScale} args={[axisId]} label={`${letter} moved for 1 mm commanded`} />
          <FigureRow def={spanSteps} args={[axisId]} label={`${letter} steps that the spans ask for`} />
        </div>
      )}
    </Panel>
  )
}
