import type { Bench } from '../../core/document'
import { deadMotor, wiringFault, type WiringFault } from '../../core/motion'
import { ChoiceField, Sentence } from '../../ui'

/** Crossed belts: where the head really went, and so what to swap or reverse. */
export function Wiring({ bench }: { readonly bench: Bench }) {
  const { wentForX, wentForY } = bench.motion.crossed
  const known = wentForX.chosen !== null && wentForY.chosen !== null
  const dead = known ? deadMotor(wentForX.chosen, wentForY.chosen) : null
  const fault = known && dead === null ? wiringFault(wentForX.chosen, wentForY.chosen) : undefined
  return (
    <>
      <Sentence>
        Ask the controller for a short way along +X: the head went <ChoiceField path="motion.crossed.wentForX" />. Then along +Y:
        it went <ChoiceField path="motion.crossed.wentForY" />.
      </Sentence>
      {(fault !== undefined || dead !== null) && (
        <p role="status" className="mt-1 max-w-[46rem]">
          {dead !== null ? sayDead(dead) : fault === undefined ? '' : sayFault(fault)}
        </p>
      )}
    </>
  )
}

/** One motor alone moves the head along a diagonal: what to look at, in the order of what is quickest to see. */
function sayDead(dead: 'a' | 'b' | 'both'): string {
  if (dead === 'both')
    return 'Neither motor moves the head. Is the supply of the drivers on, does the controller enable them, are both plugs in? Supply off before a plug is touched.'
  const [still, moves] = dead === 'a' ? ['left', 'right'] : ['right', 'left']
  return `The ${still} motor does not move its belt: the head goes along one diagonal, pulled by the ${moves} motor alone. Supply off, wait for it to fall, then look: is its plug in, and are the two wires of each phase side by side in it (about equal resistance between them, none across); does its driver sit the right way and get hot; if its shaft turns and the belt does not, tighten the pulley’s grub screw on the flat. Never unplug a motor under power.`
}

function sayFault(fault: WiringFault | null): string {
  if (fault === null) {
    return 'No wiring explains that: both went along one line, or only one of them along a diagonal. A belt slips or a motor loses its steps now and then; look at both clamps, pulleys and plugs, then ask again.'
  }
  const { swapped, reversedA, reversedB } = fault
  const todo = [
    swapped ? 'swap the two motors’ plugs' : '',
    reversedA && reversedB
      ? 'reverse both motors'
      : reversedA
        ? 'reverse the left motor'
        : reversedB
          ? 'reverse the right motor'
          : '',
  ].filter(Boolean)
  return todo.length === 0
    ? 'Both motors are wired as they should be.'
    : `Supply off, wait for it to fall, then ${todo.join(' and ')}. Never unplug a motor under power.`
}
