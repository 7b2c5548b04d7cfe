import {
  depthOfFocus,
  gapAtFocus,
  gaugeOff,
  headTurns,
  kerf,
  newestTrial,
  outOfFocus,
  peakAtFocus,
  peakNow,
  pointerX,
  pointerY,
  rayleigh,
  spotBelow,
  spotNow,
  touchTravel,
  waist,
} from '../../core/calibrate'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What is worked of the beam through focus, and judged of the material's place in it. */
export function FocusSide() {
  const has = {
    turn: useBenchStore(({ bench }) => bench?.optics.headTurn.value != null),
    gauge: useBenchStore(({ bench }) => bench?.optics.gauge.value != null),
    plate: useBenchStore(({ bench }) => bench?.optics.plate.value != null),
    heights: useBenchStore(({ bench }) => Object.keys(bench?.motion.heights ?? {}).length > 0),
  }
  return (
    <Side stage="beam" part="focus">
      <Panel title="Worked, focus">
        <FigureRow def={gapAtFocus} args={[]} />
        <FigureRow def={depthOfFocus} args={[]} />
        <FigureRow def={outOfFocus} args={[]} />
        {has.turn && <FigureRow def={headTurns} args={[]} />}
        {has.gauge && <FigureRow def={gaugeOff} args={[]} />}
        {has.plate && <FigureRow def={touchTravel} args={[]} />}
      </Panel>
      <Panel title="Worked, the spot">
        {(['x', 'y'] as const).map((it) => (
          <FigureRow key={it} def={spotNow} args={[it]} label={`Spot on the material, across ${it.toUpperCase()}`} />
        ))}
        {(['x', 'y'] as const).map((it) => (
          <FigureRow key={it} def={spotBelow} args={[it]} label={`At its underside, across ${it.toUpperCase()}`} />
        ))}
        <FigureRow def={peakNow} args={[]} />
        <FigureRow def={peakAtFocus} args={[]} />
      </Panel>
      <Cuts />
      <Panel title="Worked, the beam">
        {(['x', 'y'] as const).map((it) => (
          <FigureRow key={it} def={waist} args={[it]} label={`Radius at focus, across ${it.toUpperCase()}`} />
        ))}
        {(['x', 'y'] as const).map((it) => (
          <FigureRow key={it} def={rayleigh} args={[it]} label={`Rayleigh length, across ${it.toUpperCase()}`} />
        ))}
      </Panel>
    </Side>
  )
}

/** Where the pointing aid lies and how wide cuts are, by the newest patterns that were read. */
function Cuts() {
  const pointer = useBenchStore(({ bench }) => (bench === null ? null : newestTrial(bench.calibrate.trials, 'pointer')))
  const combs = useBenchStore(({ bench }) => (bench === null ? null : newestTrial(bench.calibrate.trials, 'kerf')))
  if (pointer === null && combs === null) return null
  return (
    <Panel title="Worked, pointer and kerf">
      {pointer !== null && [pointerX, pointerY].map((def) => <FigureRow key={def.id} def={def} args={[pointer]} />)}
      {combs !== null &&
        (['x', 'y'] as const).map((it) => (
          <FigureRow key={it} def={kerf} args={[combs, it]} label={`Kerf of a cut across ${it.toUpperCase()}`} />
        ))}
    </Panel>
  )
}
