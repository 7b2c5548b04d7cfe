import { useState, type SyntheticEvent } from 'react'
import { KINEMATICS, type Kinematics } from '../../core/motion'
import { BUILDS } from '../../core/schedule'
import { parseQuantity } from '../../core/units'
import { setUp } from '../../state'
import { Findings, Panel, useUnits } from '../../ui'

/** What is to be built: the answers set an empty bench up, every guess assumed with an honest range. */
export function SetUp() {
  const system = useUnits()
  const unit = system === 'metric' ? 'mm' : 'in'
  const [kinematics, setKinematics] = useState<Kinematics>('gantry')
  const [build, setBuild] = useState<keyof typeof BUILDS>('new')
  const [width, setWidth] = useState(system === 'metric' ? '400' : '16')
  const [depth, setDepth] = useState(system === 'metric' ? '300' : '12')
  const [refusal, setRefusal] = useState<string | null>(null)
  const submit = (event: SyntheticEvent): void => {
    event.preventDefault()
    const [w, d] = [parseQuantity(width, 'length', unit), parseQuantity(depth, 'length', unit)]
    const bad = [w, d].find((it) => !it.ok || !(it.value.value > 0 && it.value.value <= 4000))
    if (!w.ok || !d.ok || bad !== undefined) {
      setRefusal('Type the width and the depth of the largest work, above 0 and up to 4 m.')
      return
    }
    setRefusal(setUp({ kinematics, build, width: w.value.value, depth: d.value.value }))
  }
  return (
    <Panel title="What is to be built">
      <form className="no-print mt-2 grid max-w-[40rem] gap-2 text-[15px]" onSubmit={submit}>
        <p className="leading-[2.4]">
          A machine{' '}
          <select
            className="input leading-tight"
            aria-label="How it is built"
            value={build}
            onChange={(event) => setBuild(event.target.value as keyof typeof BUILDS)}
          >
            {Object.entries(BUILDS).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
          , moved by{' '}
          <select
            className="input leading-tight"
            aria-label="How it is moved"
            value={kinematics}
            onChange={(event) => setKinematics(event.target.value as Kinematics)}
          >
            {Object.entries(KINEMATICS).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
          , for work of up to{' '}
          <input
            className="input num w-20 leading-tight"
            aria-label="Width of the largest work"
            value={width}
            onChange={(event) => setWidth(event.target.value)}
          />{' '}
          ×{' '}
          <input
            className="input num w-20 leading-tight"
            aria-label="Depth of the largest work"
            value={depth}
            onChange={(event) => setDepth(event.target.value)}
          />{' '}
          <span className="num">{unit}</span>.
        </p>
        <p className="text-[13px] text-second">
          Travel, drives and tasks are set from that, each assumed until you measure it. One step back undoes it.
        </p>
        {refusal !== null && <Findings findings={[{ code: 'refused', severity: 'error', message: refusal }]} />}
        <button type="submit" className="button button-first justify-self-start">
          Set the bench up
        </button>
      </form>
    </Panel>
  )
}
