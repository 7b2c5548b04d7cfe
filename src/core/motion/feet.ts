/** The feet: front left, front right, back left, back right. */
export const FEET = ['front left', 'front right', 'back left', 'back right'] as const
