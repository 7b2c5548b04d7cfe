import { airShape } from '../air'
import { faultsShape } from '../faults'
import { housingShape } from '../housing'
import { logShape } from '../log'
import { reachShape } from '../reach'
import { rotaryShape } from '../rotary'
import { roundShape } from '../round'
import { lateSlices } from './bench'

// Whoever checks, makes or works a whole bench imports this; the page fetches it after its first picture.
lateSlices.rotary.tell(rotaryShape)
lateSlices.housing.tell(housingShape)
lateSlices.air.tell(airShape)
lateSlices.reach.tell(reachShape)
lateSlices.round.tell(roundShape)
lateSlices.log.tell(logShape)
lateSlices.faults.tell(faultsShape)
