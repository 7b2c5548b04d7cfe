/** Reads and plans a million blocks in a process of its own and prints the most memory it held, MB. */
import { readProgram } from '../src/core/gcode'
import { axisLimits, planMoves } from '../src/core/planner'
import { millionBlocks } from './millionBlocks'

const axis = { speed: 300, acceleration: 1000 }
const { moves } = readProgram(millionBlocks())
const plan = planMoves(moves, axisLimits({ x: axis, y: axis, z: axis }, 0.01))
if (plan.totalSeconds <= 0) throw new Error('the plan takes no time')
console.log(process.resourceUsage().maxRSS / 1000)
