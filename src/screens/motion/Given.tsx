import { axisSettingsTemplate, axisTemplate, axisIds, type Bench } from '../../core/document'
import { setAt } from '../../core/bench'
import { editBench, newId, useBenchStore, useSession } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** The facts of Motion as sentences: the chosen axis, the machine, the four marks. */
export function MotionGiven() {
  const bench = useBenchStore((it) => it.bench)
  const chosen = useSession((it) => it.axisId)
  if (bench === null) return null
  const ids = axisIds(bench)
  const axisId = chosen !== null && ids.includes(chosen) ? chosen : (ids[0] ?? '')
  const letter = bench.motion.axes[axisId]?.letter ?? ''
  return (
    <div className="grid gap-4">
      <Panel title={`Given, ${letter} axis`} aside={<AxisSwitch bench={bench} ids={ids} axisId={axisId} />}>
        <Sentence>
          <AxisSentence id={axisId} bench={bench} />
        </Sentence>
      </Panel>
      <Panel title="Given, the machine">
        <Sentence>
          The controller can give at most <FactField path="motion.maxStepRate" />. You want to scan at{' '}
          <FactField path="motion.wantedSpeed" />. The frame’s bars are <FactField path="motion.frame.barWidth" /> wide; the
          carriage is <FactField path="motion.frame.carriageWidth" /> wide and <FactField path="motion.frame.carriageDepth" />{' '}
          deep.
        </Sentence>
      </Panel>
      <Panel title="Given, four marks at the corners">
        <Sentence>
          Mark four corners and measure over like edges, with one instrument: the sides are{' '}
          <FactField path="motion.corners.width" /> along X and <FactField path="motion.corners.depth" /> along Y; the diagonals
          are <FactField path="motion.corners.fromOrigin" /> through the origin and <FactField path="motion.corners.across" />{' '}
          across. Up to <FactField path="motion.squareWithin" /> out of square is accepted.
        </Sentence>
      </Panel>
    </div>
  )
}

function AxisSentence({ id, bench }: { readonly id: string; readonly bench: Bench }) {
  const axis = bench.motion.axes[id]
  if (axis === undefined) return null
  const at = (key: string): string => `motion.axes.${id}.${key}`
  return (
    <>
      <FactField path={at('motors')} /> {axis.motors.value === 2 ? 'motors move' : 'motor moves'} {axis.letter} by{' '}
      <ChoiceField path={at('drive')} />, over <FactField path={at('travel')} />. The motor makes{' '}
      <FactField path={at('fullSteps')} /> full steps a turn, driven at <FactField path={at('microsteps')} />.{' '}
      {axis.drive.chosen === 'screw' ? (
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
      )}{' '}
      It speeds up at <FactField path={at('acceleration')} />.
    </>
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
          {bench.motion.axes[id]?.letter} axis
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
