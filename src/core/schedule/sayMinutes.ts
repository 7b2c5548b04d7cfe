/**
 * Minutes as they are said: 45 min, 2 h, 1 h 30.
 * @param minutes Whole, 0 or more.
 * @returns Words. Valid: any length. Source: a way of writing (common practice).
 * @example sayMinutes(90) // '1 h 30'
 */
export function sayMinutes(minutes: number): string {
  if (minutes < 60) return `${minutes} min`
  const rest = minutes % 60
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${String(rest).padStart(2, '0')}`
}
