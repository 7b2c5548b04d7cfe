import type { Path } from '../core/bench'
import { placeOf } from '../core/document'

/** What stands in an address in the place of a stage: what to do next, over all of them. */
export const NEXT = 'next'

/** The address of a stage of a bench, or of one of its parts. */
export function addressOf(benchId: string, stage: string, part?: string | null): string {
  return `/bench/${benchId}/${stage}${part == null ? '' : `/${part}`}`
}

/** The address of the sheet on which a fact is entered. */
export function addressOfFact(benchId: string, path: Path): string {
  const { stage = 'motion', part = null } = placeOf(path) ?? {}
  return addressOf(benchId, stage, part)
}

/** The address of the course, which belongs to no bench. */
export const COURSE_PAGE = '/course'
