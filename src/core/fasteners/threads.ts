/** A coarse metric thread and what goes with it, mm. */
export interface Thread {
  readonly name: ThreadName
  readonly diameter: number
  /** ISO 261, coarse. */
  readonly pitch: number
  /** ISO 273, medium. */
  readonly clearance: number
  /** Drill for tapping: diameter less pitch, as it is sold. */
  readonly tapDrill: number
  /** Head diameter and key of a socket head cap screw, ISO 4762. */
  readonly head: number
  readonly key: number
  /** Height of a hexagon nut, ISO 4032. */
  readonly nut: number
}

export const THREAD_NAMES = ['M3', 'M4', 'M5', 'M6', 'M8'] as const
export type ThreadName = (typeof THREAD_NAMES)[number]

const thread = (
  name: ThreadName,
  diameter: number,
  pitch: number,
  clearance: number,
  tapDrill: number,
  head: number,
  key: number,
  nut: number,
): Thread => ({ name, diameter, pitch, clearance, tapDrill, head, key, nut })

/** The threads of small machines. Source: ISO 261, 273, 4032, 4762. */
export const THREADS: Readonly<Record<ThreadName, Thread>> = {
  M3: thread('M3', 3, 0.5, 3.4, 2.5, 5.5, 2.5, 2.4),
  M4: thread('M4', 4, 0.7, 4.5, 3.3, 7, 3, 3.2),
  M5: thread('M5', 5, 0.8, 5.5, 4.2, 8.5, 4, 4.7),
  M6: thread('M6', 6, 1, 6.6, 5, 10, 5, 5.2),
  M8: thread('M8', 8, 1.25, 9, 6.8, 13, 6, 6.8),
}

/** Standard lengths, mm. Source: ISO 4762 (from memory). */
export const LENGTHS = [5, 6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80] as const
