import { useEffect } from 'react'
import { Link } from 'react-router'
import { COURSE, LESSONS, LESSON_IDS, PASSED, type LessonId } from '../../core/course'
import { useCourse } from '../../state'
import { BeginLesson, Panel, VerdictMark } from '../../ui'

const GRADES: Readonly<Record<1 | 2 | 3, string>> = {
  1: 'One thing at a time',
  2: 'With a fault, or with something in the hand',
  3: 'What costs most when it is guessed',
}

/** The course: ten lessons in three grades, what was learnt of each, and where to begin. */
export function Course() {
  const kept = useCourse((it) => it.kept)
  useEffect(() => {
    document.title = 'The course, Fine Kerf'
  }, [])
  const passed = LESSON_IDS.filter((it) => (kept[it]?.best ?? 0) >= PASSED).length
  const first = LESSON_IDS.find((it) => (kept[it]?.best ?? 0) < PASSED)
  return (
    <main className="mx-auto max-w-[60rem] px-5 py-8 sm:px-10">
      <p className="no-print text-[13.5px]">
        <Link to="/" className="link">
          All benches
        </Link>
      </p>
      <h1 className="mt-2 text-[26px] font-[720]">The course</h1>
      <p className="mt-1 max-w-[44rem] text-[15px] text-second">
        Ten lessons on the stand-in, on the same sheets that your own bench has. Each lays something out, hides something, and
        says at the end what it was. Nothing of it reaches a bench of your own.
      </p>
      <p className="mt-3 text-[15px]" role="status">
        <span className="num">{passed}</span> of <span className="num">{LESSON_IDS.length}</span> passed with {PASSED} points or
        more.
      </p>
      <div className="mt-6 grid gap-8">
        {COURSE.map(({ grade, lessons }) => (
          <Panel key={grade} title={`Grade ${grade}`} aside={<span className="text-[13px] text-second">{GRADES[grade]}</span>}>
            <ul className="m-0 list-none p-0">
              {lessons.map((id) => (
                <Row key={id} id={id} isNext={id === first} />
              ))}
            </ul>
          </Panel>
        ))}
      </div>
      <p className="mt-8 max-w-[44rem] border-t border-rule pt-3 text-[13px] text-second">
        A beam that marks wood blinds and sets fire. What is passed here makes nobody safe at a real one: local rules, certified
        eyewear and licensed practice come first.
      </p>
    </main>
  )
}

function Row({ id, isNext }: { readonly id: LessonId; readonly isNext: boolean }) {
  const { name, goal, learnt } = LESSONS[id]
  const kept = useCourse((it) => it.kept[id])
  const mark = kept === undefined ? 'unknown' : kept.best >= PASSED ? 'good' : 'look'
  return (
    <li className="keep-together border-b border-rule py-3" data-lesson={id}>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-[1fr_auto] sm:items-start">
        <div className="flex min-w-0 gap-2.5">
          <span className="pt-1">
            <VerdictMark mark={mark} />
          </span>
          <div className="min-w-0">
            <h3 className="text-[16px] font-[650]">
              <span className="num mr-2 font-normal text-second">{LESSON_IDS.indexOf(id) + 1}</span>
              {name}
            </h3>
            <p className="text-[14px]">{goal}</p>
            {kept !== undefined && (
              <>
                <p className="mt-1 text-[13px] text-second">
                  Best <span className="num">{kept.best}</span> of 100, last <span className="num">{kept.last}</span>, handed in{' '}
                  <span className="num">{kept.times}</span> ×, <span className="num">{kept.at.slice(0, 10)}</span>
                </p>
                <p className="mt-1 max-w-[40rem] text-[13.5px]">{learnt}</p>
                {kept.note !== '' && <p className="mt-1 max-w-[40rem] text-[13.5px] font-[600]">{kept.note}</p>}
              </>
            )}
          </div>
        </div>
        <BeginLesson
          id={id}
          words={kept === undefined ? 'Begin' : 'Again, another machine'}
          label={`${kept === undefined ? 'Begin' : 'Again'}: ${name}`}
          isFirst={isNext}
        />
      </div>
    </li>
  )
}
