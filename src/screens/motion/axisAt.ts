/** Paths of one axis's facts: `axisAt(id)('travel')`. */
export function axisAt<I extends string>(id: I) {
  return <K extends string>(key: K) => `motion.axes.${id}.${key}` as const
}
