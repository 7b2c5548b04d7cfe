import { useState } from 'react'
import { Link } from 'react-router'
import { LESSON_IDS, LESSONS, type LessonId } from '../../core/course'
import type { StageId } from '../../core/document'
import { displayUnit, printQuantity } from '../../core/units'
import {
  COURSE_PAGE,
  DONE,
  handIn,
  keepLearnt,
  lessonNow,
  useBenchStore,
  useCourse,
  usePractised,
  useStandIns,
  type LessonNow,
} from '../../state'
import { BeginLesson, Findings, Panel, StageLink, useUnits, VerdictMark } from '../../ui'

type Aim = LessonNow['score']['aims'][number]

/** A lesson: what is wanted and where it is done; once it is handed in, what was hidden, the score, and what was learnt. */
export function LessonPlate() {
  const bench = useBenchStore((it) => it.bench)
  const practised = usePractised((it) => it.byBench[bench?.id ?? ''])
  useStandIns((it) => it.byBench[bench?.id ?? ''])
  const [said, say] = useState(DONE)
  if (bench === null) return null
  const now = lessonNow(bench)
  if (now === null) return null
  if (typeof now === 'string') return <p className="py-6">{now}</p>
  const isIn = practised?.isShown === true
  const { lesson, score } = now
  return (
    <div className="mt-2" data-plate="Lesson">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-[20px] font-[680]">{lesson.name}</h2>
        <span className="text-[13px] text-second">
          Grade {lesson.grade}, lesson {LESSON_IDS.indexOf(now.id) + 1} of {LESSON_IDS.length},{' '}
          <Link className="link" to={COURSE_PAGE}>
            the course
          </Link>
        </span>
      </div>
      <p className="max-w-[46rem] py-2 text-[15px]">{lesson.goal}</p>
      <table className="w-full border-collapse text-[14px]">
        <thead>
          <tr className="border-b border-ink text-left text-[12px] text-second">
            <th className="py-1.5 font-normal">What is scored</th>
            <th className="py-1.5 pr-4 text-right font-normal">{isIn ? 'Truly' : 'All points within'}</th>
            <th className="py-1.5 font-normal">{isIn ? 'Done' : 'How'}</th>
            {isIn && <th className="py-1.5 text-right font-normal">Points of 100</th>}
          </tr>
        </thead>
        <tbody>
          {score.aims.map((it) => (
            <AimRow key={it.id} aim={it} isIn={isIn} />
          ))}
        </tbody>
      </table>
      {isIn ? (
        <Out now={now} />
      ) : (
        <p className="no-print mt-3 flex flex-wrap items-center gap-3">
          <button type="button" className="button button-first" onClick={() => say(handIn(bench))}>
            Hand it in
          </button>
          <span className="text-[13px] text-second">Then what was hidden is shown, and the score is kept.</span>
        </p>
      )}
      <Findings findings={said} />
    </div>
  )
}

function AimRow({ aim, isIn }: { readonly aim: Aim; readonly isIn: boolean }) {
  const say = useSay()
  const [stage = '', part] = aim.at.split('/')
  return (
    <tr className="border-b border-rule align-baseline" data-aim={aim.id}>
      <td className="py-2 pr-2 font-[650]">{aim.name}</td>
      <td className="num py-2 pr-4 text-right whitespace-nowrap">
        {!isIn ? say(aim.good, aim, true) : aim.off === null ? 'nothing done' : say(aim.off, aim)}
      </td>
      <td className="py-2">
        {isIn ? (
          <span className="inline-flex items-center gap-2">
            <VerdictMark mark={aim.isDone ? 'good' : 'unknown'} />{' '}
            {aim.isDone ? 'done' : aim.points === 0 ? 'not done' : 'not proved, counts half'}
          </span>
        ) : (
          <span className="inline-flex items-baseline gap-2">
            <VerdictMark mark={aim.isDone ? 'good' : 'unknown'} />
            <StageLink stage={stage as StageId} {...(part === undefined ? {} : { part })}>
              {aim.way}
            </StageLink>
          </span>
        )}
      </td>
      {isIn && <td className="num py-2 text-right">{Math.round(aim.points)}</td>}
    </tr>
  )
}

/** Says what an aim is off by, in its unit. */
function useSay(): (value: number, aim: Pick<Aim, 'unit' | 'good'>, isLimit?: boolean) => string {
  const system = useUnits()
  return (value, { unit, good }, isLimit = false) => {
    if (unit === 'count') return value === 0 ? 'none' : String(Math.round(value))
    const printed = printQuantity(
      value,
      Math.max(isLimit ? good : good / 4, 1e-6),
      unit === 'mm' ? displayUnit('length', system) : unit,
    )
    return `${printed.value} ${printed.unit}`
  }
}

/** What came of it: the score, what was hidden, what is learnt, and where to go from here. */
function Out({ now }: { readonly now: LessonNow }) {
  const { id, lesson, score } = now
  const next = LESSON_IDS[LESSON_IDS.indexOf(id) + 1]
  return (
    <>
      <div className="mt-4 grid gap-x-8 gap-y-4 sm:grid-cols-2">
        <Panel title="The score">
          <p className="py-2 text-[22px] font-[700]" data-score>
            <span className="num">{Math.round(score.points)}</span> of 100
          </p>
          <ul className="m-0 list-none p-0 text-[13.5px]" aria-label="What was hidden">
            {score.truth.map((it) => (
              <li key={it} className="border-b border-rule py-1">
                {it}
              </li>
            ))}
          </ul>
        </Panel>
        <Panel title="What it teaches">
          <p className="max-w-[34rem] py-2 text-[14px]">{lesson.learnt}</p>
          <Note id={id} />
        </Panel>
      </div>
      <p className="no-print mt-3 flex flex-wrap items-center gap-3">
        {next !== undefined && <BeginLesson id={next} words={`Next: ${LESSONS[next].name.toLowerCase()}`} isFirst />}
        <BeginLesson id={id} words="The same with another machine" />
      </p>
    </>
  )
}

function Note({ id }: { readonly id: LessonId }) {
  // What is typed stands, also where it is too long to be kept.
  const [note, write] = useState(() => useCourse.getState().kept[id]?.note ?? '')
  const [said, say] = useState(DONE)
  return (
    <div className="no-print">
      <label className="text-[12px] text-second">
        What you want to remember of it; it is kept with the course
        <textarea
          className="input block w-full text-[13.5px] text-ink"
          rows={2}
          value={note}
          onChange={(event) => {
            write(event.target.value)
            say(keepLearnt(id, event.target.value))
          }}
        />
      </label>
      <Findings findings={said} />
    </div>
  )
}
