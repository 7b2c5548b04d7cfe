import { templateOf } from '../bench'
import { linkCardShape, type LinkCard } from './linkSlice'

/** A link card that a new bench begins with: plain words, one line at a time, to be edited to what the controller wants. */
export const PLAIN_LINK: LinkCard = templateOf(linkCardShape, { baud: 115_200, fullPower: 1, holds: 0 })
