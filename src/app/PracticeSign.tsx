import { practiceOf } from '../core/document'
import { useBenchStore } from '../state'

/** What a practice machine is, at all times. */
export function PracticeSign() {
  const id = useBenchStore(({ bench }) => bench?.id ?? '')
  const practised = practiceOf(id)
  if (practised === null) return null
  const { number, grade } = practised
  return (
    <span className="border border-ink px-1.5 font-[650]" data-practice>
      Practice {number}, grade {grade}: nothing here is real
    </span>
  )
}
