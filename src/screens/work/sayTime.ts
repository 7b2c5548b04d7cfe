import { sayQuantity } from '../../core/units'

/** Hours, minutes and seconds, as far as they are there. */
export function sayTime(seconds: number): string {
  if (seconds < 60) return sayQuantity(Math.round(seconds * 10) / 10, null, 's')
  const whole = Math.round(seconds)
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60]
  return h > 0 ? `${h} h ${String(m).padStart(2, '0')} min` : `${m} min ${String(s).padStart(2, '0')} s`
}
