import { Dialog } from 'radix-ui'
import { useSession } from '../state'

const KEYS: readonly (readonly [string, string])[] = [
  ['Ctrl K', 'Find a stage, a fact or a command'],
  ['?', 'This list'],
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
    <Dialog.Root open onOpenChange={(open) => useSession.setState({ shortcuts: open })}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[color-mix(in_srgb,var(--ink)_30%,transparent)]" />
        <Dialog.Content
          className="overlay fixed left-1/2 top-[12vh] z-50 max-h-[76vh] w-[34rem] max-w-[94vw] -translate-x-1/2 overflow-y-auto p-5"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-[17px] font-[680]">Keys</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[8rem_1fr] gap-y-2">
            {KEYS.map(([key, words]) => (
              <div key={key} className="contents">
                <dt className="num">{key}</dt>
                <dd className="m-0">{words}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="button mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
