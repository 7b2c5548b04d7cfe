import { Link } from 'react-router'
import { lessonOf, LESSONS } from '../core/course'
import { practiceOf } from '../core/document'
import { addressOf, useBenchStore } from '../state'

/** What a practice machine or a lesson is, at all times, and the way to its sheet. */
export function PracticeSign() {
  const id = useBenchStore(({ bench }) => bench?.id ?? '')
  const practised = practiceOf(id)
  const lesson = lessonOf(id)
  if (practised === null && lesson === null) return null
  return (
    <span className="border border-ink px-1.5 font-[650]" data-practice>
      <Link className="hover:text-teal" to={addressOf(id, 'controller', 'practice')}>
        {lesson === null
          ? `Practice ${practised?.number}, grade ${practised?.grade}`
          : `Lesson ${lesson.number}: ${LESSONS[lesson.lesson].name.toLowerCase()}`}
      </Link>
      : nothing here is real
    </span>
  )
}
