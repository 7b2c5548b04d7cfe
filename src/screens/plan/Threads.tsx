import { THREAD_NAMES, type ThreadName } from '../../core/fasteners'
import { SelectOf } from '../../ui'

const WORDS = Object.fromEntries(THREAD_NAMES.map((it) => [it, it])) as Readonly<Record<ThreadName, string>>

/** The threads there are, one of them chosen. */
export function Threads(props: {
  readonly value: ThreadName
  readonly label: string
  readonly choose: (thread: ThreadName) => unknown
}) {
  return <SelectOf of={WORDS} {...props} />
}
