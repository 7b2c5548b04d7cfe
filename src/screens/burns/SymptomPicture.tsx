import { symptomStrokes, type Proof, type Symptom } from '../../core/faults'

/** How a symptom would look on this machine. */
export function SymptomPicture({ symptom, proof }: { readonly symptom: Symptom; readonly proof: Proof }) {
  return (
    <svg viewBox="-4 -4 32 28" className="block h-24 w-full border border-rule" aria-hidden>
      {symptomStrokes(symptom, proof).map(({ points, width, dark, isRim }, k) => (
        <polyline
          key={k}
          points={points.map(([x, y]) => `${x},${20 - y}`).join(' ')}
          fill="none"
          stroke={isRim === true ? 'var(--second)' : 'var(--ink)'}
          strokeOpacity={dark}
          strokeWidth={width}
          strokeLinejoin="round"
        />
      ))}
    </svg>
  )
}
