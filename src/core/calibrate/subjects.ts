import { subjectOf } from '../bench'
import type { CalibrateBench } from './slice'

const subject = subjectOf<CalibrateBench>()

/** Every scale run. */
export const aRun = subject('run', ({ calibrate }): [runId: string][] => Object.keys(calibrate.runs).map((id) => [id]))

/** Every axis of which spans were measured by hand. */
export const anAxisBySpans = subject('axis by spans', ({ calibrate }): [axisId: string][] =>
  [...new Set(Object.values(calibrate.spans).map((it) => it.axis))].map((id) => [id]),
)

/** The directions of every scale run. */
export const aRunAlong = subject('run along', ({ calibrate }): [runId: string, axis: string][] =>
  Object.keys(calibrate.runs).flatMap((id): [string, string][] => [
    [id, 'x'],
    [id, 'y'],
  ]),
)

/** The axes of every scale run, by their own ids. */
export const aRunAxis = subject('run axis', ({ calibrate }): [runId: string, axisId: string][] =>
  Object.entries(calibrate.runs).flatMap(([id, { axes }]): [string, string][] => [
    [id, axes.x],
    [id, axes.y],
  ]),
)
