import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { LessonId } from '../core/course'
import { addressOf, DONE, drawNumber, openLesson } from '../state'
import { Findings } from './Findings'

/** Opens a lesson with a machine that was not drawn before, and goes to its sheet. */
export function BeginLesson(props: {
  readonly id: LessonId
  readonly words: string
  readonly label?: string
  readonly isFirst?: boolean
}) {
  const { id, words, label = words, isFirst = false } = props
  const navigate = useNavigate()
  const [said, say] = useState(DONE)
  const begin = async (): Promise<void> => {
    const opened = await openLesson(id, drawNumber())
    say(opened.findings)
    if (opened.ok) void navigate(addressOf(opened.value, 'controller', 'practice'))
  }
  return (
    <span className="no-print">
      <button type="button" className={`button ${isFirst ? 'button-first' : ''}`} aria-label={label} onClick={() => void begin()}>
        {words}
      </button>
      <Findings findings={said} />
    </span>
  )
}
