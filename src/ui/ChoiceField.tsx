import { getAt, isChoice, type Path } from '../core/bench'
import { benchChoiceSpec, labelAt } from '../core/document'
import { setFact, useBenchStore } from '../state'

/** A choice standing in a sentence, its origin as the line under it. */
export function ChoiceField({ path }: { readonly path: Path }) {
  const bench = useBenchStore((it) => it.bench)
  const choice = getAt(bench, path)
  const spec = benchChoiceSpec(path)
  if (bench === null || !isChoice(choice) || spec === undefined) return null
  const label = labelAt(bench, path)
  return (
    <select
      aria-label={label}
      data-fact={path}
      className={`origin-${choice.origin} min-h-6 bg-transparent text-[15px] text-ink`}
      value={choice.chosen ?? ''}
      onChange={(event) => setFact(path, { chosen: event.target.value, origin: 'stated', doubt: { kind: 'exact' } }, label)}
    >
      {Object.entries(spec.options).map(([word, words]) => (
        <option key={word} value={word} className="bg-paper text-ink">
          {words}
        </option>
      ))}
    </select>
  )
}
