import type { Todo, TodoKind } from '../../core/document'
import { useWhatNext } from '../../state'
import { Findings, NextLink, Panel, StageLink, VerdictMark } from '../../ui'

/** Kinds in their order, and what each is called over its lines. */
const KINDS: readonly (readonly [TodoKind, string])[] = [
  ['stop', 'Stop: not before this is mended'],
  ['begin', 'Begin here'],
  ['redo', 'Do again: a change has spoilt it'],
  ['settle', 'Measure or look up: it settles most'],
  ['task', 'The plan lets begin'],
  ['due', 'Late'],
  ['mend', 'Could be better'],
  ['open', 'Not begun yet'],
]

/** What to do next over the whole bench: each line one thing, the place where it is done, and why. */
export function Next() {
  const { todos, said } = useWhatNext()
  return (
    <div className="sheet px-4 py-4 sm:px-6">
      <h1 className="text-[22px] font-[680] leading-tight">What to do next</h1>
      <p className="mt-0.5 max-w-[46rem] text-second">
        Worked out from all that is judged, spoilt, missing, planned and late; what settles most stands first.
      </p>
      <Findings findings={said} />
      {todos === null ? said.length === 0 && <Looking /> : <List todos={todos} />}
    </div>
  )
}

function Looking() {
  return (
    <p className="py-4 text-second" role="status">
      Looking over the bench …
    </p>
  )
}

function List({ todos }: { readonly todos: readonly Todo[] }) {
  if (todos.length === 0) return <Nothing />
  return (
    <div className="mt-4 grid max-w-[52rem] gap-6">
      {KINDS.map(([kind, title]) => (
        <Kind key={kind} title={title} todos={todos} kind={kind} />
      ))}
    </div>
  )
}

function Kind(props: { readonly kind: TodoKind; readonly title: string; readonly todos: readonly Todo[] }) {
  const { kind, title, todos } = props
  const own = todos.filter((it) => it.kind === kind)
  if (own.length === 0) return null
  return (
    <Panel title={title}>
      <ol className="m-0 list-none p-0">
        {own.map((todo) => (
          <li key={`${todo.words}${todo.why}`} className="keep-together flex gap-3 border-b border-rule py-2.5" data-todo={kind}>
            <span className="num w-5 shrink-0 pt-px text-right text-[13px] text-second">{todos.indexOf(todo) + 1}</span>
            <span className="w-3.5 shrink-0 pt-1">
              {MARKS[kind] !== undefined && <VerdictMark mark={MARKS[kind]} label="" />}
            </span>
            <div className="min-w-0">
              <p className="text-[15px]">
                <NextLink next={{ words: todo.words, ...todo.at }}>{todo.words}</NextLink>
              </p>
              <p className="mt-0.5 text-[13px] text-second">{todo.why}</p>
            </div>
          </li>
        ))}
      </ol>
    </Panel>
  )
}

const MARKS: Readonly<Partial<Record<TodoKind, 'stop' | 'unknown' | 'look'>>> = { stop: 'stop', settle: 'unknown', mend: 'look' }

function Nothing() {
  return (
    <p className="mt-4 max-w-[46rem]">
      Nothing stops, nothing is spoilt, and nothing that is open would be settled by one more measurement. Go on with{' '}
      <StageLink stage="work">a program for the machine</StageLink>, or look at{' '}
      <StageLink stage="plan">what the plan holds</StageLink>.
    </p>
  )
}
