import { useSession } from '../state'
import { Over } from './Over'

const KEYS: readonly (readonly [string, string])[] = [
  ['Ctrl K', 'Find a stage, a fact or a command'],
  ['?', 'This list'],
  ['Ctrl .', 'Beam off and stop: the connected machine, at once'],
  ['Ctrl Z', 'Undo the last edit'],
  ['Ctrl Shift Z', 'Do it again'],
  ['Ctrl S', 'Export the bench file (saving happens by itself)'],
  ['[  ]', 'The stage before, the stage after'],
  ['Enter', 'On a fact: open it. In its editor: enter what is typed'],
  ['Escape', 'Leave the fact as it was; end a drag without a change'],
  ['Arrows', 'On the carriage: move the head by 10 mm, with Shift by 1 mm. On the end of a dimension: change it by 1 mm'],
]

/** The keys, on `?`. */
export function Shortcuts() {
  return (
    <Over title="Keys" className="w-[34rem] p-5" close={() => useSession.setState({ shortcuts: false })}>
      <dl className="mt-3 grid grid-cols-[8rem_1fr] gap-y-2">
        {KEYS.map(([key, words]) => (
          <div key={key} className="contents">
            <dt className="num">{key}</dt>
            <dd className="m-0">{words}</dd>
          </div>
        ))}
      </dl>
      <button type="button" className="button mt-4" onClick={() => useSession.setState({ shortcuts: false })}>
        Close
      </button>
    </Over>
  )
}
