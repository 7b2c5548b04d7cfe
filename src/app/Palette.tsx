import { Command } from 'cmdk'
import { useNavigate } from 'react-router'
import { eachFact, isFact, showFact } from '../core/bench'
import { alsoAt, hasField, labelAt, type Bench } from '../core/document'
import { STAGES } from '../screens/stages'
import {
  addressOf,
  addressOfFact,
  editBench,
  COURSE_PAGE,
  isDone,
  isOnNameplate,
  NEXT,
  openDemo,
  openSecondDemo,
  reasonOf,
  redo,
  revealFact,
  setTheme,
  undo,
  useBenchStore,
  useSession,
} from '../state'
import { exportBench } from '../ui'
import { partsFor } from '../ui/stage'
import { notify } from './notify'
import { Over } from './Over'
import { PART_WORDS } from './paletteWords'

interface Entry {
  readonly words: string
  readonly aside?: string
  /** Other words that it is found by. */
  readonly also?: string
  readonly run: () => void
}

/** The command palette: stages, facts and commands by name. */
export function Palette() {
  const navigate = useNavigate()
  const bench = useBenchStore((it) => it.bench)
  const close = (): void => useSession.setState({ palette: false })
  const go = (to: string) => (): void => void navigate(to)
  const run = (entry: Entry) => (): void => {
    close()
    entry.run()
  }
  const groups: readonly (readonly [string, readonly Entry[]])[] = [
    [
      'Stages',
      bench === null
        ? []
        : STAGES.flatMap((stage): Entry[] => [
            { words: stage.name, aside: stage.question, run: go(addressOf(bench.id, stage.id)) },
            ...(stage.parts.length < 2 ? [] : partsFor(stage, useBenchStore.getState().bench)).map((part) => ({
              words: `${stage.name}: ${part.name}`,
              aside: '',
              also: PART_WORDS[`${stage.id}/${part.id}`] ?? '',
              run: go(addressOf(bench.id, stage.id, part.id)),
            })),
          ]),
    ],
    [
      'Facts',
      bench === null
        ? []
        : factEntries(bench, (path) => {
            if (!isOnNameplate(path)) void navigate(addressOfFact(bench.id, path))
            revealFact(path)
          }),
    ],
    ['Commands', commands(bench, go)],
  ]
  return (
    <Over title="Find a stage, a fact or a command" hideTitle className="w-[38rem]" close={close}>
      <Command label="Find a stage, a fact or a command">
        <Command.Input
          placeholder="Find a stage, a fact or a command"
          className="w-full border-b border-rule bg-transparent px-4 py-3 text-[16px] outline-none placeholder:text-second"
        />
        <Command.List className="max-h-[60vh] overflow-y-auto p-2">
          <Command.Empty className="p-3 text-second">Nothing is called that.</Command.Empty>
          {groups.map(([heading, entries]) => (
            <Command.Group
              key={heading}
              heading={heading}
              className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:text-second"
            >
              {entries.map((entry) => (
                <Command.Item
                  key={entry.words}
                  value={`${heading} ${entry.words}`}
                  keywords={(entry.also ?? '').split(' ')}
                  onSelect={run(entry)}
                  className="flex cursor-pointer justify-between gap-4 px-2 py-1.5 data-[selected=true]:bg-tape"
                >
                  <span>{entry.words}</span>
                  <span className="truncate text-[13px] text-second">{entry.aside}</span>
                </Command.Item>
              ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </Over>
  )
}

function factEntries(bench: Bench, reveal: (path: string) => void): Entry[] {
  const entries: Entry[] = []
  eachFact(bench, (path, node) => {
    if (!isFact(node) || !hasField(bench, path)) return
    const { text, unit } = showFact(node)
    entries.push({
      words: labelAt(bench, path),
      aside: text === '' ? 'not entered' : `${text} ${unit}`.trim(),
      ...alsoOf(path),
      run: () => reveal(path),
    })
  })
  return entries
}

/** Words that a fact is looked for by, beside its label. */
function alsoOf(path: string): { readonly also?: string } {
  const also = alsoAt(path)
  return also === undefined ? {} : { also }
}

function commands(bench: Bench | null, go: (to: string) => () => void): Entry[] {
  const always: Entry[] = [
    { words: 'All benches', run: go('/') },
    { words: 'The practice course', also: 'lessons learn train score', run: go(COURSE_PAGE) },
    { words: 'Open the demo bench', run: () => void openDemo().then((it) => it.ok && go(`/bench/${it.value}/motion`)()) },
    {
      words: 'Open the retrofit demo',
      run: () => void openSecondDemo().then((it) => it.ok && go(`/bench/${it.value}/motion`)()),
    },
    { words: 'Light: paper', run: () => setTheme('light') },
    { words: 'Light: shed', run: () => setTheme('dark') },
    { words: 'Light: as the system', run: () => setTheme('system') },
    { words: 'List the keys', aside: '?', run: () => useSession.setState({ shortcuts: true }) },
  ]
  if (bench === null) return always
  return [
    { words: 'Undo', aside: 'Ctrl Z', run: () => void undo() },
    { words: 'Redo', aside: 'Ctrl Shift Z', run: () => void redo() },
    { words: 'What to do next', also: 'todo stop stops list', run: go(addressOf(bench.id, NEXT)) },
    {
      words: 'Export the bench file',
      aside: 'Ctrl S',
      also: 'save backup download',
      run: () => void exportBench(bench.id).then((said) => isDone(said) || notify(reasonOf(said))),
    },
    { words: 'Print this sheet', run: () => window.print() },
    {
      words: bench.units === 'metric' ? 'Show figures in inches' : 'Show figures in millimetres',
      run: () => void editBench('the units', (it) => ({ ...it, units: it.units === 'metric' ? 'inch' : 'metric' })),
    },
    ...always,
  ]
}
