import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { LessonTry } from '../core/course'
import type { MendDone } from '../core/document'

interface Practised {
  readonly mends: readonly MendDone[]
  /** What was tried in a lesson and cannot be taken back. */
  readonly tries: readonly LessonTry[]
  /** Whether the truth was looked at: from then on it is no practice any more. */
  readonly isShown: boolean
}

/** What was done to the practice machines of this browser, by the id of their bench. */
export const usePractised = create<{ readonly byBench: Readonly<Record<string, Partial<Practised>>> }>()(
  persist(() => ({ byBench: {} }), { name: 'fine-kerf.practice' }),
)

const NOTHING: Practised = { mends: [], tries: [], isShown: false }

export function practisedOn(benchId: string): Practised {
  return { ...NOTHING, ...usePractised.getState().byBench[benchId] }
}

export function mendsOf(benchId: string): readonly MendDone[] {
  return practisedOn(benchId).mends
}

export function keepPractised(benchId: string, more: Partial<Practised>): void {
  usePractised.setState(({ byBench }) => ({ byBench: { ...byBench, [benchId]: { ...practisedOn(benchId), ...more } } }))
}
