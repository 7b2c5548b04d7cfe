import { useRef } from 'react'
import { getAt, isChoice } from '../core/bench'
import { benchChoiceSpec, labelAt, type ChoicePath } from '../core/document'
import { setFact, startEditing, stopEditing, useBenchStore, useSession } from '../state'
import { LazyPopover } from './LazyPopover'

/** A choice standing in a sentence, its origin as the line under it. Choosing, even the same again, states it. */
export function ChoiceField({ path, place = 'given' }: { readonly path: ChoicePath; readonly place?: string }) {
  const bench = useBenchStore((it) => it.bench)
  const open = useSession(({ editing }) => editing?.path === path && editing.place === place)
  const choice = getAt(bench, path)
  const button = useRef<HTMLButtonElement>(null)
  const spec = benchChoiceSpec(path)
  if (bench === null || !isChoice(choice) || spec === undefined) return null
  const label = labelAt(bench, path)
  const shown = choice.chosen === null ? 'choose' : (spec.options[choice.chosen] ?? choice.chosen)
  const choose = (chosen: string): void => {
    setFact(path, { chosen, origin: 'stated', doubt: { kind: 'exact' } }, label)
    stopEditing()
  }
  return (
    <>
      <button
        ref={button}
        type="button"
        data-fact={path}
        data-place={place}
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={`${label}: ${shown}, ${choice.origin}`}
        className="min-h-6 px-0.5 leading-tight hover:text-teal"
        onClick={() => (open ? stopEditing() : startEditing(path, place))}
        // Until the editor's code is here, the key stays with the field.
        onKeyDown={(event) => event.key === 'Escape' && open && stopEditing()}
      >
        <span className={`origin-${choice.origin}`}>{shown}</span>
      </button>
      {open && (
        <LazyPopover anchor={button} label={`Choose: ${label}`} className="z-40 p-2" close={stopEditing}>
          <p className="px-2 py-1 text-[13px] text-second">{label}</p>
          {Object.entries(spec.options).map(([word, words]) => (
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
        </LazyPopover>
      )}
    </>
  )
}
