/** A way along an axis, or between both: the latter is how a head goes that one motor does not move. */
export type Way = keyof typeof WAYS

/** Ways a head may go, as a person sees them. */
export const WAYS = {
  '+x': 'right',
  '-x': 'left',
  '+y': 'back',
  '-y': 'front',
  '+x+y': 'right and back',
  '-x-y': 'left and front',
  '+x-y': 'right and front',
  '-x+y': 'left and back',
  none: 'nowhere',
} as const
