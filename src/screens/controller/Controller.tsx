import { newestRun } from '../../core/calibrate'
import { useBenchStore, useSession, type ControllerPart } from '../../state'
import { Sheet } from '../../ui'
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
          <Parts part={part} />
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

/** The parts in the order of the work. */
function Parts({ part }: { readonly part: ControllerPart }) {
  return (
    <div className="no-print mt-3 flex gap-1 border-b border-ink" role="group" aria-label="Parts of Controller">
      {PARTS.map(({ id, name }, i) => (
        <button
          key={id}
          type="button"
          aria-pressed={id === part}
          className={`-mb-px min-h-9 border-b-2 px-3 ${id === part ? 'border-teal font-[650]' : 'border-transparent text-second hover:text-teal'}`}
          onClick={() => useSession.setState({ part: id })}
        >
          <span className="num mr-1.5 text-[12px]">{i + 1}</span>
          {name}
        </button>
      ))}
    </div>
  )
}
