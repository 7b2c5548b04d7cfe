import type { Bench } from '../../core/document'
import { cutListOf } from '../../core/motion'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Phrase, Sentence } from '../../ui'

/** The rolling test of the wheels, and what decides how long the cables are. */
export function WheelsGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="grid gap-4">
      {runsOnWheels(bench) && <RollingTest />}
      <Panel title="Given, the cables">
        <Sentence>
          The controller stands <FactField path="motion.cables.controllerX" /> from the origin along X and{' '}
          <FactField path="motion.cables.controllerY" /> along Y; below 0 is left of it, or in front. Up from the head, over and
          down again a cable goes <FactField path="motion.cables.up" />, and it is to be longer by{' '}
          <FactField path="motion.cables.spare" />.{' '}
          <Phrase>
            The shortest cable that is there measures <FactField path="motion.cables.length" />.
          </Phrase>
        </Sentence>
        <p className="mt-1 max-w-[46rem] text-[13px] text-second">
          All positions first, then the ties, and trim last: drive the head into each corner by hand, supply off, and look that
          nothing pulls, rubs or can fall into the beam.
        </p>
      </Panel>
    </div>
  )
}

function runsOnWheels({ motion }: Bench): boolean {
  return motion.frame.guides.chosen === 'wheels' && cutListOf(motion.kinematics.chosen, 'wheels').bars.length > 0
}

function RollingTest() {
  return (
    <Panel title="Given, the rolling test">
      <Sentence>
        Supply off, belts off. Rocked about its bar, the carriage <ChoiceField path="motion.wheels.rock" />. Pushed from end to
        end, it <ChoiceField path="motion.wheels.roll" />. Hold it still and turn a wheel that sits on an eccentric with a finger:
        it <ChoiceField path="motion.wheels.turn" />.
      </Sentence>
      <p className="mt-1 max-w-[46rem] text-[13px] text-second">
        The same for the gantry on its side bars. An eccentric is turned by a few degrees only, both of a side alike, then the
        test is done again.
      </p>
    </Panel>
  )
}
