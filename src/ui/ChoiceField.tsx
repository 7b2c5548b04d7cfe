import { memo } from 'react'
import { getAt, isChoice, type Choice, type ChoiceSpec } from '../core/bench'
import { benchChoiceSpec, labelAt, type ChoicePath } from '../core/document'
import { setFact, stopEditing, useBenchStore } from '../state'
import { FieldButton } from './FieldButton'

/** A choice standing in a sentence, its origin as the line under it. Choosing, even the same again, states it. */
export const ChoiceField = memo(function ChoiceField(props: { readonly path: ChoicePath; readonly place?: string }) {
  const { path, place = 'given' } = props
  const choice = useBenchStore(({ bench }) => getAt(bench, path))
  const label = useBenchStore(({ bench }) => (bench === null ? '' : labelAt(bench, path)))
  const spec = benchChoiceSpec(path)
  if (!isChoice(choice) || spec === undefined) return null
  const shown = choice.chosen === null ? 'choose' : (spec.options[choice.chosen] ?? choice.chosen)
  const choose = (chosen: string): void => {
    setFact(path, { chosen, origin: 'stated', doubt: { kind: 'exact' } }, label)
    stopEditing()
  }
  return (
    <FieldButton
      path={path}
      place={place}
      says={`${label}: ${shown}, ${choice.origin}`}
      className=""
      face={() => <span className={`origin-${choice.origin}`}>{shown}</span>}
      sheet={{
        label: `Choose: ${label}`,
        className: 'p-2',
        is: () => <Options label={label} options={spec.options} choice={choice} choose={choose} />,
      }}
    />
  )
})

function Options(props: {
  readonly label: string
  readonly options: ChoiceSpec['options']
  readonly choice: Choice
  readonly choose: (chosen: string) => void
}) {
  const { label, options, choice, choose } = props
  return (
    <>
      <p className="px-2 py-1 text-[13px] text-second">{label}</p>
      {Object.entries(options).map(([word, words]) => (
        <button
          key={word}
          type="button"
          aria-pressed={word === choice.chosen}
          className="block min-h-9 w-full px-2 text-left hover:bg-tape aria-pressed:font-[650]"
          onClick={() => choose(word)}
        >
          {words}
        </button>
      ))}
    </>
  )
}
