import { later } from './later'

/** A sheet at a button; its code is not in the first picture. */
export const LazyPopover = later(async () => (await import('./PopoverAt')).PopoverAt)
