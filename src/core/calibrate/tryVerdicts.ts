import { verdictOf } from '../bench'
import { goesRight, handTime, originRoom, pullOffRoom, reachRoom, stopRoom, switchRight, type TryBench } from './tryFigures'

const verdict = verdictOf<TryBench>()
const PLACE = { stage: 'controller', part: 'homing', goodFrom: 0, stopBelow: 0 } as const
const tried = ({ controller }: TryBench, id: string) => controller.axes[id]?.tried
const at = (id: string, key: string): string => `controller.axes.${id}.tried.${key}`
const isRead = (value: { readonly value: number | null } | undefined): boolean => value !== undefined && value.value !== null

export const stopsBeam = verdict({
  id: 'calibrate.stopsBeam',
  ...PLACE,
  margin: stopRoom,
  when: ({ calibrate }, way) => {
    const it = calibrate.stops[way]
    return it !== undefined && (it.went.chosen !== null || it.seconds.value !== null)
  },
  hazard: true,
  say: ({ mark, args, figure, fact }) => {
    const [way] = args
    const name = way === 'lid' ? 'The lid' : 'The emergency stop'
    const path = `calibrate.stops.${way}.seconds`
    if (mark === 'good' || mark === 'look') {
      return {
        head: `${name} was out in time when it was tried`,
        why: `Dark after ${fact(path)}, a hand takes ${figure(handTime, way)}. Try it again after every change of the wiring.`,
      }
    }
    return {
      head: mark === 'unknown' ? `${name}: is the beam out in time?` : `${name}: the beam is not out in time for certain`,
      why: `${figure(stopRoom, way)} before a hand could be there. Cut the diode’s supply by a contact, not through the controller; let licensed hands look where mains is near.`,
      next: { words: 'Time it again, by a film of the try', path },
    }
  },
})

export const axisGoesRight = verdict({
  id: 'calibrate.axisGoesRight',
  ...PLACE,
  margin: goesRight,
  when: (bench, id) => (tried(bench, id)?.plus.chosen ?? null) !== null,
  say: ({ mark, args: [id], word }) => {
    const letter = word(`motion.axes.${id}.letter`)
    if (mark === 'good' || mark === 'look') return { head: `${letter} goes the right way`, why: 'Told to go plus, it went plus.' }
    return {
      head: mark === 'unknown' ? `Which way does ${letter} go?` : `${letter} goes the wrong way`,
      why: 'Work comes out mirrored, and the search for the origin runs away from it. Turn the setting for its direction, or, with the supply off, one pair of the motor’s wires.',
      next: { words: 'Try it again', path: at(id, 'plus') },
    }
  },
})

export const axisSwitchRight = verdict({
  id: 'calibrate.axisSwitchRight',
  ...PLACE,
  margin: switchRight,
  when: (bench, id) =>
    [tried(bench, id)?.free, tried(bench, id)?.pressed, tried(bench, id)?.found].every((it) => (it?.chosen ?? null) !== null),
  say: ({ mark, args: [id], word }) => {
    const letter = word(`motion.axes.${id}.letter`)
    if (mark === 'good' || mark === 'look')
      return { head: `${letter} finds its switch`, why: 'It reads free and pressed rightly, and the search ends at it.' }
    return {
      head: mark === 'unknown' ? `Does ${letter} find its switch?` : `${letter} does not find its switch`,
      why: 'Where free reads as pressed, its sense is the wrong way round; where nothing changes, its wire; where it runs away, the direction of the search. Have a hand on the supply’s switch.',
      next: { words: 'Press it by hand and read it again', path: at(id, 'free') },
    }
  },
})

export const travelEnds = verdict({
  id: 'calibrate.travelEnds',
  ...PLACE,
  margin: reachRoom,
  when: (bench, id) => isRead(tried(bench, id)?.reach) && isRead(bench.controller.axes[id]?.travel),
  say: ({ mark, args: [id], figure, word }) => {
    const letter = word(`motion.axes.${id}.letter`)
    const room = figure(reachRoom, id)
    if (mark === 'good' || mark === 'look')
      return { head: `${letter} stops before its end`, why: `The travel set in the machine ends ${room} before the axis does.` }
    return {
      head: mark === 'unknown' ? `Does ${letter} stop before its end?` : `${letter} is let run against its end`,
      why: `${room} are left. A motor that runs against its end loses its place, and the work with it: set a shorter travel.`,
      next: { words: 'See the travel in the machine', path: `controller.axes.${id}.travel` },
    }
  },
})

export const originRepeats = verdict({
  id: 'calibrate.originRepeats',
  ...PLACE,
  margin: originRoom,
  when: (bench, id) => isRead(tried(bench, id)?.repeats),
  short: 'look',
  say: ({ mark, args: [id], figure, word }) => {
    const letter = word(`motion.axes.${id}.letter`)
    if (mark === 'good' || mark === 'look')
      return { head: `${letter} finds the same origin again`, why: `${figure(originRoom, id)} within the accepted gap.` }
    return {
      head: mark === 'unknown' ? `Does ${letter} find the same origin again?` : `${letter} finds another origin each time`,
      why: `${figure(originRoom, id)} within the accepted gap: search slower at the end, and see that nothing of the switch is loose.`,
      next: { words: 'Search twice more and read both', path: at(id, 'repeats') },
    }
  },
})

export const pullOffEnough = verdict({
  id: 'calibrate.pullOffEnough',
  ...PLACE,
  margin: pullOffRoom,
  when: (bench, id) => isRead(tried(bench, id)?.pullOff),
  short: 'look',
  say: ({ mark, args: [id], figure, word }) => {
    const letter = word(`motion.axes.${id}.letter`)
    if (mark === 'good' || mark === 'look')
      return { head: `${letter} stands clear of its switch`, why: `By ${figure(pullOffRoom, id)} more than it must.` }
    return {
      head: mark === 'unknown' ? `Does ${letter} stand clear of its switch?` : `${letter} hardly leaves its switch`,
      why: 'The least push presses it again, and the machine stops as if it had run into its end. Set a longer way back off the switch.',
      next: { words: 'Read it again', path: at(id, 'pullOff') },
    }
  },
})
