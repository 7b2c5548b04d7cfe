import { axisSettingsTemplate, axisTemplate, axisIds, type Bench } from '../../core/document'
import { MOTOR_OF, type Axis, type Kinematics } from '../../core/motion'
import { setAt } from '../../core/bench'
import { editBench, newId, useBenchStore, useSession } from '../../state'
import { ChoiceField, FactField, later, Panel, Phrase, Sentence } from '../../ui'
import { axisAt } from './axisAt'
import { useChosenAxis } from './chosenAxis'

const Wiring = later(async () => (await import('./Wiring')).Wiring)

/** The facts of the machine as sentences: how it moves, the chosen axis, what all axes share. */
export function MotionGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="grid gap-4">
      <AxisPanel bench={bench} title="Given">
        <AxisSentence bench={bench} />
      </AxisPanel>
      <Panel title="Given, the machine">
        <Sentence>
          The head is moved by <ChoiceField path="motion.kinematics" />. The controller can give at most{' '}
          <FactField path="motion.maxStepRate" />. You want to scan at <FactField path="motion.wantedSpeed" />.{' '}
          <KinematicsSentence kinematics={bench.motion.kinematics.chosen} />
        </Sentence>
        {bench.motion.kinematics.chosen === 'crossed' && <Wiring bench={bench} />}
      </Panel>
    </div>
  )
}

/** A panel about the chosen axis, with the switch between axes. */
export function AxisPanel({
  bench,
  title,
  children,
}: {
  readonly bench: Bench
  readonly title: string
  readonly children: React.ReactNode
}) {
  const { axisId, axis } = useChosenAxis(bench)
  return (
    <Panel
      title={`${title}, ${axis === undefined ? '' : nameOf(axis, bench)}`}
      aside={<AxisSwitch bench={bench} ids={axisIds(bench)} axisId={axisId} />}
    >
      <Sentence>{children}</Sentence>
    </Panel>
  )
}

/** An axis, or the motor that stands under it where belts are crossed. */
function nameOf({ letter }: Axis, { motion }: Bench): string {
  return motion.kinematics.chosen === 'crossed' && letter !== 'Z' ? MOTOR_OF[letter] : `${letter} axis`
}

function KinematicsSentence({ kinematics }: { readonly kinematics: Kinematics | null }) {
  const frame = (
    <>
      The frame’s bars are <FactField path="motion.frame.barWidth" /> wide; the carriage is{' '}
      <FactField path="motion.frame.carriageWidth" /> wide and <FactField path="motion.frame.carriageDepth" /> deep.
    </>
  )
  switch (kinematics) {
    case 'mirrors':
      return (
        <Phrase>
          The last mirror stands <FactField path="motion.mirrors.height" /> above the work and{' '}
          <FactField path="motion.mirrors.apart" /> from the other; the beam meets <ChoiceField path="motion.mirrors.last" />{' '}
          last. The spot stays sharp over <FactField path="motion.mirrors.focusDepth" /> to either side. You want{' '}
          <FactField path="motion.mirrors.wantedSteps" />. The field is the travel of both axes, about its middle.
        </Phrase>
      )
    case 'crossed':
      return (
        <>
          {frame} The idlers measure <FactField path="motion.crossed.idlerDiameter" /> at the belt; the motors stand{' '}
          <FactField path="motion.crossed.motorAside" /> aside of the place where their belts are parallel.{' '}
          <Phrase>
            The left belt lies <FactField path="motion.crossed.heightLeft" /> above the bed, the right one{' '}
            <FactField path="motion.crossed.heightRight" />; both are <FactField path="motion.crossed.beltWidth" /> wide.{' '}
          </Phrase>
          <Phrase>
            Motors holding, the left belt gives <FactField path="motion.crossed.clampPlayLeft" /> at its clamps, the right one{' '}
            <FactField path="motion.crossed.clampPlayRight" />.
          </Phrase>
        </>
      )
    case 'retrofit':
      return (
        <>
          {frame} The beam stands beside the spindle by <FactField path="motion.retrofit.asideX" /> along X and{' '}
          <FactField path="motion.retrofit.asideY" /> along Y; both reach what lies within both travels.
        </>
      )
    default:
      return frame
  }
}

function AxisSentence({ bench }: { readonly bench: Bench }) {
  const { axisId: id, axis } = useChosenAxis(bench)
  if (axis === undefined) return null
  if (bench.motion.kinematics.chosen === 'crossed' && axis.letter !== 'Z') return <MotorSentence id={id} axis={axis} />
  if (bench.motion.kinematics.chosen === 'mirrors' && axis.letter !== 'Z') return <MirrorAxis id={id} letter={axis.letter} />
  const at = axisAt(id)
  return (
    <Phrase>
      <FactField path={at('motors')} /> {axis.motors.value === 2 ? 'motors move' : 'motor moves'} {axis.letter} by{' '}
      <ChoiceField path={at('drive')} />, over <FactField path={at('travel')} />. <SharedDriver id={id} axis={axis} />
      The motor makes <FactField path={at('fullSteps')} /> full steps a turn, driven at <FactField path={at('microsteps')} />.{' '}
      <Train id={id} axis={axis} /> The motor’s own gear is <FactField path={at('motorGear')} />. It speeds up at{' '}
      <FactField path={at('acceleration')} />.
    </Phrase>
  )
}

/** What turns the motor's turn into a way. */
function Train({ id, axis }: { readonly id: string; readonly axis: Axis }) {
  const at = axisAt(id)
  return (
    <>
      {axis.drive.chosen === 'rack' ? (
        <>
          Its pinion of <FactField path={at('pinionTeeth')} /> teeth runs on a rack of module{' '}
          <FactField path={at('rackModule')} />.
        </>
      ) : axis.drive.chosen === 'screw' ? (
        <>
          Its screw has a pitch of <FactField path={at('screwPitch')} /> and <FactField path={at('screwStarts')} />{' '}
          {axis.screwStarts.value === 1 ? 'start' : 'starts'}.
        </>
      ) : (
        <>
          {axis.drive.chosen === 'reducedBelt' && (
            <>
              A wheel of <FactField path={at('motorTeeth')} /> teeth turns one of <FactField path={at('drivenTeeth')} />.{' '}
            </>
          )}
          The{' '}
          <span className="whitespace-nowrap">
            <FactField path={at('pulleyTeeth')} />
            -tooth
          </span>{' '}
          pulley pulls a belt of <FactField path={at('beltPitch')} /> pitch.
        </>
      )}
    </>
  )
}

/** A motor of crossed belts: it takes part in X and in Y, so the travel of both is said beside it. */
function MotorSentence({ id, axis }: { readonly id: string; readonly axis: Axis }) {
  const at = axisAt(id)
  return (
    <Phrase>
      The {MOTOR_OF[axis.letter]} pulls its belt by <ChoiceField path={at('drive')} />. It makes{' '}
      <FactField path={at('fullSteps')} /> full steps a turn, driven at <FactField path={at('microsteps')} />.{' '}
      <Train id={id} axis={axis} /> The motor’s own gear is <FactField path={at('motorGear')} />. It speeds up at{' '}
      <FactField path={at('acceleration')} />. Both motors together move the head over <FactField path={at('travel')} /> along{' '}
      {axis.letter}.
    </Phrase>
  )
}

/** Two motors of an axis: a driver each, or one that they share. */
export function SharedDriver({ id, axis }: { readonly id: string; readonly axis: Axis }) {
  if (axis.motors.value !== 2) return null
  const at = axisAt(id)
  return (
    <Phrase>
      Both have <ChoiceField path={at('drivers')} />
      {axis.drivers.chosen !== 'each' && (
        <>
          , which gives <FactField path={at('driverCurrent')} />
        </>
      )}
      .{' '}
    </Phrase>
  )
}

/** An axis of a mirror pair: motor and gear, and how wide the field is. */
function MirrorAxis({ id, letter }: { readonly id: string; readonly letter: string }) {
  const at = axisAt(id)
  return (
    <Phrase>
      The {letter} mirror’s motor makes <FactField path={at('fullSteps')} /> full steps a turn, driven at{' '}
      <FactField path={at('microsteps')} />, through a gear of <FactField path={at('motorGear')} />. The field is{' '}
      <FactField path={at('travel')} /> wide along {letter}. It speeds up at <FactField path={at('acceleration')} />.
    </Phrase>
  )
}

function AxisSwitch({ bench, ids, axisId }: { readonly bench: Bench; readonly ids: readonly string[]; readonly axisId: string }) {
  const z = ids.find((id) => bench.motion.axes[id]?.letter === 'Z')
  return (
    <span className="no-print flex items-baseline gap-3 text-[13px]" role="group" aria-label="Axes">
      {ids.map((id) => (
        <button
          key={id}
          type="button"
          aria-pressed={id === axisId}
          className={`min-h-6 px-1 ${id === axisId ? 'border-b-2 border-teal font-[650]' : 'text-teal'}`}
          onClick={() => useSession.setState({ axisId: id })}
        >
          {bench.motion.axes[id] === undefined ? '' : nameOf(bench.motion.axes[id], bench)}
        </button>
      ))}
      {z === undefined ? (
        <button type="button" className="link" onClick={addZ}>
          Add a Z axis
        </button>
      ) : (
        <button type="button" className="link" onClick={() => removeAxis(z)}>
          Remove Z
        </button>
      )}
    </span>
  )
}

function addZ(): void {
  const id = newId()
  editBench('adding a Z axis', (bench) =>
    setAt(setAt(bench, `motion.axes.${id}`, axisTemplate('Z', 3)), `controller.axes.${id}`, axisSettingsTemplate()),
  )
  useSession.setState({ axisId: id })
}

function removeAxis(id: string): void {
  editBench('removing the Z axis', (bench) =>
    setAt(setAt(bench, `motion.axes.${id}`, undefined), `controller.axes.${id}`, undefined),
  )
  useSession.setState({ axisId: null })
}
