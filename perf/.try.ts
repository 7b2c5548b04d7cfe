import { timeScan, timeDrawing, sweptShare, tourShare, nestingShare } from './work'
import { heron } from '../src/data/heron'
import { plover } from '../src/data/plover'
console.log('swept', sweptShare(heron()), sweptShare(plover()))
console.log('drawing', timeDrawing(100_000, 3))
console.log('tour', tourShare(500), 'nest', nestingShare())
console.log('scan', timeScan(4000, 3))
