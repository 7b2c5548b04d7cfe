import { canRunOver } from '../core/controller'
import { useBenchStore } from './benchStore'
import { askMachine, machineStops } from './machine'

/** One thing that was tried over a link, and how it came out. */
export interface Tried {
  readonly what: string
  readonly isGood: boolean
  readonly said: string
}

/** Tries a link with the machine at rest: its list, its state, its stop. Nothing moves and nothing burns. */
export async function tryLink(): Promise<readonly Tried[]> {
  const card = useBenchStore.getState().bench?.output.link
  const listed = await askMachine('settings')
  const list: Tried = listed.ok
    ? {
        what: 'Its list of settings',
        isGood: listed.items.size > 0,
        said:
          listed.items.size > 0
            ? `${listed.items.size} settings were listed.`
            : 'It answered, but listed nothing that is a key and a value.',
      }
    : { what: 'Its list of settings', isGood: false, said: listed.finding.message }
  if (!listed.ok) return [list]
  const stopped = await machineStops()
  const stop: Tried = {
    what: 'Stop',
    isGood: stopped,
    said: stopped
      ? 'It stopped and said that it rests.'
      : 'It did not say within two seconds that it rests after stop: look at “its state” and “at rest” on the link card.',
  }
  const isComplete = card !== undefined && canRunOver(card)
  const run: Tried = {
    what: 'Programs over the link',
    isGood: isComplete && stopped,
    said: isComplete && stopped ? 'They can be sent.' : 'They go as files until it says its state and stops when told.',
  }
  return [list, stop, run]
}
