/** What Motion of version 5 gets when it becomes one of version 6, as it was then: what each driver's setting means. */
export function motionOfVersion6(motion: Record<string, unknown>): Record<string, unknown> {
  const axes = Object.entries((motion['axes'] ?? {}) as Record<string, object>)
  return { ...motion, axes: Object.fromEntries(axes.map(([id, axis]) => [id, { ...axis, currentIs: PEAK_OR_EFFECTIVE }])) }
}

const PEAK_OR_EFFECTIVE = { chosen: 'peak', origin: 'assumed', doubt: { kind: 'alternatives', others: ['effective'] } }
