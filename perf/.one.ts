import { timeDrawing } from './work'
import { longestOrderTask } from './order'
import { timeEdits } from './edit'
console.log('drawing', JSON.stringify(timeDrawing(100_000, 5)))
console.log('order', await longestOrderTask(3))
