import { cardOf, machineLimits, type Bench } from '../../core/document'
import { engineOf } from '../../state'

/** What of a bench a program is written for: with another machine or output card it is another program. */
export function machineKey(bench: Bench): string {
  return JSON.stringify([cardOf(bench), machineLimits(engineOf(bench))])
}
