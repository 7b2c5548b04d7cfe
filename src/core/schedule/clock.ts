/**
 * Reads a time of day as people write it: `18:00`, `18.30`, `1830`, `6 pm`, `6:30pm`.
 * @param text As typed; empty stands for no time.
 * @returns `HH:MM`, empty where nothing was typed, null where it is no time of day.
 * Valid: 0:00 to 23:59, and 24:00, which is 0:00. Source: ISO 8601 for what is kept; ways of writing (common practice).
 * @example readClock('6.30 pm') // '18:30'
 */
export function readClock(text: string): string | null {
  const plain = text.trim().toLowerCase()
  if (plain === '') return ''
  const match = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(am|pm|a\.m\.|p\.m\.)?$/.exec(plain)
  if (match === null) return null
  const [, hour = '', minute = '00', half = ''] = match
  const hours = half === '' ? Number(hour) % (Number(minute) === 0 ? 24 : Infinity) : ofHalf(Number(hour), half)
  if (hours === null || hours > 23 || (half === '' && Number(hour) > 24) || Number(minute) > 59) return null
  return `${String(hours).padStart(2, '0')}:${minute}`
}

/** An hour of the twelve, before or after noon. */
function ofHalf(hour: number, half: string): number | null {
  if (hour < 1 || hour > 12) return null
  return (hour % 12) + (half.startsWith('p') ? 12 : 0)
}
