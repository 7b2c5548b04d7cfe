import { Children, cloneElement, Fragment, isValidElement, type ReactElement, type ReactNode } from 'react'
import { ChoiceField } from './ChoiceField'
import { FactField } from './FactField'

/** Facts standing in a sentence. */
export function Sentence({ children }: { readonly children: ReactNode }) {
  return (
    <p className="max-w-[46rem] pt-1.5 text-[15px] leading-[1.85]">
      <Phrase>{children}</Phrase>
    </p>
  )
}

/** A part of a sentence; the comma or stop behind a field never begins a line. */
export function Phrase({ children }: { readonly children: ReactNode }) {
  return Children.toArray(held(flat(children)))
}

/** Children without the fragments around them, each under its own key. */
function flat(children: ReactNode, within = ''): readonly ReactNode[] {
  return Children.toArray(children).flatMap((it) => {
    if (!isValidElement<{ children?: ReactNode }>(it)) return [it]
    const key = `${within}${it.key ?? ''}`
    return it.type === Fragment ? flat(it.props.children, key) : [cloneElement(it, { key })]
  })
}

const MARK = /^[.,;:)]+/

/** Each field together with the mark behind it. */
function held(parts: readonly ReactNode[]): ReactNode[] {
  return parts.map((part, i) => {
    if (typeof part === 'string') return isField(parts[i - 1]) ? part.replace(MARK, '') : part
    if (!isField(part)) return part
    const next = parts[i + 1]
    return (
      <span key={part.key} className="whitespace-nowrap">
        {part}
        {typeof next === 'string' && MARK.exec(next)?.[0]}
      </span>
    )
  })
}

function isField(part: ReactNode): part is ReactElement {
  return isValidElement(part) && (part.type === FactField || part.type === ChoiceField)
}
