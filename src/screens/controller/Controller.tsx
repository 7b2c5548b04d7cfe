import { newestRun } from '../../core/calibrate'
import { useBenchStore, useSession, type ControllerPart } from '../../state'
import { Parts, Sheet } from '../../ui'
import { LinkPanel } from './LinkPanel'
import { RampGiven, RampPlate } from './Ramp'
import { RunGiven } from './RunGiven'
import { RunPlate } from './RunPlate'
import { ControllerSide } from './Side'
import { SettingsGiven } from './SettingsGiven'
import { SettingsPlate } from './SettingsPlate'

const PARTS: readonly { readonly id: ControllerPart; readonly name: string; readonly about: string }[] = [
  {
    id: 'settings',
    name: 'Settings',
    about: 'Read what is in the machine, look at what differs, write what the bench says.',
  },
  {
    id: 'ramp',
    name: 'Faint mark',
    about: 'Find a power that marks without burning deep: lines from the sighting power upwards. Press the first good one.',
  },
  {
    id: 'run',
    name: 'Scale run',
    about: 'Burn ticks and crosses, read them like edge to like edge, and let the readings say the steps.',
  },
]

/** Controller: do the settings in the machine say what the bench says? */
export function Controller() {
  const part = useSession((it) => it.part)
  const run = useBenchStore((it) => (it.bench === null ? null : newestRun(it.bench.calibrate)))
  const { about } = PARTS.find((it) => it.id === part) ?? { about: '' }
  return (
    <Sheet
      question="Do the settings in the machine say what the bench says?"
      about={about}
      plate={
        <>
          <Parts of="Controller" parts={PARTS} open={part} choose={(id) => useSession.setState({ part: id })} />
          {part === 'settings' && <SettingsPlate />}
          {part === 'ramp' && <RampPlate />}
          {part === 'run' && <RunPlate runId={run} />}
        </>
      }
      given={
        <>
          {part === 'settings' && <SettingsGiven />}
          {part === 'ramp' && <RampGiven />}
          {part === 'run' && <RunGiven runId={run} />}
        </>
      }
      side={
        <>
          <LinkPanel />
          <ControllerSide part={part} runId={run} />
        </>
      }
    />
  )
}
