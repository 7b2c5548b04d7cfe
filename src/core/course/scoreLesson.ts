import { workEyewear, workMug } from './atTable'
import { workFan, workHead } from './inShed'
import type { LessonId } from './lessonId'
import { workCard, workFocus } from './onBeam'
import { workMachine } from './onMachine'
import { withPoints, type Lessoned, type LessonScored, type LessonWorked } from './score'
import { workWrong } from './wrong'

const WORK: Readonly<Record<LessonId, (it: Lessoned) => LessonWorked>> = {
  steps: workMachine,
  focus: workFocus,
  eyewear: workEyewear,
  card: workCard,
  square: workMachine,
  delay: workMachine,
  mug: workMug,
  head: workHead,
  fan: workFan,
  wrong: workWrong,
}

/**
 * How a lesson stands, by what was hidden and not by what the bench believes.
 * @throws {RangeError} where the bench's card cannot write the outlines that a machine is tried with.
 */
export function scoreLesson(it: Lessoned): LessonScored {
  return withPoints(it.lesson, WORK[it.lesson](it))
}
