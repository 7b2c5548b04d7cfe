import type { Cause, Further } from './closureModel'

const CAUSES: Readonly<Record<Cause['cause'], { readonly name: string; readonly mend: string }>> = {
  none: { name: 'No fault', mend: '' },
  play: {
    name: 'Play',
    mend: 'Take it out: belt snug, pulley and idlers without slack, wheels or nut set. What stays can be told to the planner.',
  },
  slip: {
    name: 'A slipping pulley',
    mend: 'Tighten its screws onto the flat of the shaft, with thread lock; mark shaft and pulley to see it.',
  },
  misses: { name: 'Missed steps', mend: 'Lower the acceleration, then look at the driver’s current and at what binds.' },
  loose: { name: 'A sagging belt', mend: 'Tension it by its tone, both sides alike.' },
  late: { name: 'Light comes late', mend: 'Burn the delay pattern and put its delay on the output card.' },
}

/** A cause in words: what it is, where, and what mends it. */
export function sayCause({ cause, axis }: Cause): { readonly name: string; readonly mend: string } {
  const { name, mend } = CAUSES[cause]
  return { name: axis === '' ? name : `${name} in ${axis.toUpperCase()}`, mend }
}

const FURTHERS: Readonly<Record<Further, string>> = {
  larger: 'Burn outlines of twice the size: what grows with the way then shows.',
  slower: 'Burn them at half the speed: what late light leaves out halves.',
  gentler: 'Burn them with a quarter of the acceleration: what the motors miss goes away.',
  again: 'Burn them once more: what differs each time shows.',
}

/** The one further measurement in words. */
export function sayFurther(next: Further): string {
  return FURTHERS[next]
}
