import { domainOf } from '../bench'
import * as figures from './figures'
import * as verdicts from './verdicts'

/** What the machine in plan shows and is judged by: steps, speed, corners. The rest of motion is `mechanicsDomain`. */
export const motionDomain = domainOf('motion', figures, verdicts)
