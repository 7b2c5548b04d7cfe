import { domainOf } from '../bench'
import * as bookFigures from './bookFigures'
import * as bookVerdicts from './bookVerdicts'

/** The half of safety that the material book needs: the first picture does not wait for it. */
export const bookDomain = domainOf('book', bookFigures, bookVerdicts)
