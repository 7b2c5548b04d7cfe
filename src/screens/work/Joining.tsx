import { useState } from 'react'
import type { Bench } from '../../core/document'
import { gridOfPuts, type Put } from '../../core/refit'
import { printNumber, type Finding } from '../../core/units'
import { DONE, joinProgram, newId, told, type JoinSummary, type JointAsk, type ProgramSummary, type Told } from '../../state'
import { FileButton, Findings, NumberField, Panel, PlainField, SelectOf } from '../../ui'
import { Earlier, Held, MmField } from './Held'
import { HandOutMade, useMadeBy } from './MadeProgram'
import { useKept } from './programTool'
import { sayTime } from './sayTime'

const MIRRORS = {
  no: 'as it is',
  leftRight: 'flipped left to right',
  bottomTop: 'flipped bottom to top',
} as const satisfies Record<Put['mirror'], string>
const MOST_PLACES = 400

/** A program of several, and where it is burnt. */
interface Row {
  readonly id: string
  readonly name: string
  /** Null: the one that is open. */
  readonly file: File | null
  readonly fullS: number
  readonly put: Put
  readonly columns: number
  readonly rows: number
  readonly pitchX: number
  readonly pitchY: number
  readonly pause: string
}

/** Several programs in one: in their order, each at its places, with a pause where somebody has something to do. */
export function Joining({
  bench,
  survey,
  name,
}: {
  readonly bench: Bench
  readonly survey: ProgramSummary
  readonly name: string
}) {
  const { made, keep } = useMadeBy('join', survey, bench)
  const [fullS] = useState(() => Math.max(bench.electrical.fullPower.value ?? 1000, survey.highestS))
  const [rows, setRows] = useKept<readonly Row[]>('join', () => [rowOf(name, null, fullS, survey)])
  const [summary, setSummary] = useKept<JoinSummary | null>('joined', () => null)
  const [isWorking, setWorking] = useState(false)
  const [said, say] = useState<readonly Finding[]>([])
  const change = (to: readonly Row[]): void => {
    setRows(to)
    keep(null)
  }
  const act = async (): Promise<void> => {
    setWorking(true)
    const done = await joinProgram(bench, { joints: rows.map(jointOf) })
    setWorking(false)
    say(done.findings)
    setSummary(done.ok ? done.value : null)
    keep(done.ok ? done.value : null)
  }
  return (
    <Panel title="Joined with others, or set out">
      <p className="max-w-[46rem] py-1 text-[13.5px] text-second">
        One behind the other, each turned about its zero, then moved. The same program may stand in the list several times, once
        for each station.
      </p>
      <ol className="m-0 list-none p-0">
        {rows.map((row, k) => (
          <JointRow
            key={row.id}
            row={row}
            nth={k}
            of={rows.length}
            set={(part) => change(rows.map((it) => (it.id === row.id ? { ...it, ...part } : it)))}
            earlier={() => change(swapped(rows, k))}
            remove={() => change(rows.filter((it) => it.id !== row.id))}
          />
        ))}
      </ol>
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <FileButton label="Another program file" take={(file) => change([...rows, rowOf(file.name, file, fullS, survey)])}>
          Add a program
        </FileButton>
        <button type="button" className="button" onClick={() => change([...rows, rowOf(name, null, fullS, survey)])}>
          Add this one again
        </button>
        <button type="button" className="button" disabled={isWorking || rows.length === 0} onClick={() => void act()}>
          {isWorking ? 'Joining …' : 'Join them'}
        </button>
      </div>
      <Findings findings={said} />
      {made !== null && summary !== null && <Joined summary={summary} bench={bench} />}
    </Panel>
  )
}

function rowOf(name: string, file: File | null, fullS: number, { bounds }: ProgramSummary): Row {
  const size = (least: number | undefined, most: number | undefined): number => Math.ceil((most ?? 0) - (least ?? 0)) + 5
  return {
    id: newId(),
    name,
    file,
    fullS,
    put: { x: 0, y: 0, turn: 0, mirror: 'no' },
    columns: 1,
    rows: 1,
    pitchX: size(bounds?.minX, bounds?.maxX),
    pitchY: size(bounds?.minY, bounds?.maxY),
    pause: '',
  }
}

function jointOf({ file, fullS, put, columns, rows, pitchX, pitchY, pause }: Row): JointAsk {
  return { file, fullS, puts: gridOfPuts(columns, rows, { x: pitchX, y: pitchY }, put), pause }
}

/** A row one place earlier. */
function swapped(rows: readonly Row[], k: number): readonly Row[] {
  const [before, it] = [rows[k - 1], rows[k]]
  return before === undefined || it === undefined ? rows : [...rows.slice(0, k - 1), it, before, ...rows.slice(k + 1)]
}

function JointRow(props: {
  readonly row: Row
  readonly nth: number
  readonly of: number
  readonly set: (part: Partial<Row>) => void
  readonly earlier: () => void
  readonly remove: () => void
}) {
  const { row, nth, of, set, earlier, remove } = props
  const { put } = row
  const label = (what: string): string => `${what} of program ${nth + 1}`
  const ok = (part: Partial<Row>): Told => {
    set(part)
    return DONE
  }
  const count = (name: 'columns' | 'rows', to: number | null): Told => {
    const other = name === 'columns' ? row.rows : row.columns
    return (to ?? 1) * other > MOST_PLACES
      ? told(`No more than ${MOST_PLACES} places in all.`)
      : ok({ [name]: Math.max(1, to ?? 1) })
  }
  return (
    <li className="border-b border-rule py-2" data-joint>
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span className="num text-second">{nth + 1}</span>
        <strong className="min-w-0 flex-1 truncate font-[650]">{row.name}</strong>
        {nth > 0 && <Earlier what={label('Place')} act={earlier} />}
        {of > 1 && (
          <button type="button" className="link no-print text-[13px]" aria-label={label('Take away, place')} onClick={remove}>
            take away
          </button>
        )}
      </div>
      <p className="in-words max-w-[46rem] text-[15px] leading-[2.1]">
        {nth > 0 && (
          <>
            Before it, at the machine:{' '}
            <PlainField
              label={label('What is done before it')}
              hideLabel
              value={row.pause}
              placeholder="nothing, it goes on"
              className="w-48"
              keep={(pause) => ok({ pause: pause.trim().slice(0, 200) })}
            />
            .{' '}
          </>
        )}
        Its zero lies at X{' '}
        <MmField label={label('X')} signed valueMm={put.x} keep={(mm) => ok({ put: { ...put, x: mm ?? 0 } })} />, Y{' '}
        <MmField label={label('Y')} signed valueMm={put.y} keep={(mm) => ok({ put: { ...put, y: mm ?? 0 } })} />, turned by{' '}
        <Held unit="°">
          <NumberField
            label={label('Turn, degrees,')}
            hideLabel
            signed
            value={put.turn}
            className="w-14"
            keep={(turn) => ok({ put: { ...put, turn: turn ?? 0 } })}
          />
        </Held>
        ,{' '}
        <SelectOf label={label('Mirror')} of={MIRRORS} value={put.mirror} choose={(mirror) => set({ put: { ...put, mirror } })} />
        . It is burnt in{' '}
        <NumberField
          label={label('Columns')}
          hideLabel
          whole
          above
          value={row.columns}
          className="w-12"
          keep={(to) => count('columns', to)}
        />{' '}
        columns and{' '}
        <NumberField
          label={label('Rows')}
          hideLabel
          whole
          above
          value={row.rows}
          className="w-12"
          keep={(to) => count('rows', to)}
        />{' '}
        rows
        {row.columns * row.rows > 1 && (
          <>
            , <MmField label={label('Columns apart')} signed valueMm={row.pitchX} keep={(mm) => ok({ pitchX: mm ?? 0 })} /> and{' '}
            <MmField label={label('Rows apart')} signed valueMm={row.pitchY} keep={(mm) => ok({ pitchY: mm ?? 0 })} /> from one to
            the next
          </>
        )}
        . Its power word at full power is{' '}
        <NumberField
          label={label('Power word at full power')}
          hideLabel
          above
          value={row.fullS}
          className="w-20"
          keep={(it) => ok({ fullS: it ?? row.fullS })}
        />
        .
      </p>
    </li>
  )
}

/** What came of it: as a whole for a file, section by section over a cable. */
function Joined({ summary, bench }: { readonly summary: JoinSummary; readonly bench: Bench }) {
  const { sections } = summary
  const names = Object.fromEntries([
    ['all', 'all of it, with a pause (M0) between'],
    ...sections.map((it, k) => [String(k), `only part ${k + 1}${it.before === '' ? '' : `: ${it.before}`}`]),
  ]) as Record<string, string>
  const [picked, pick] = useState('0')
  const isWhole = sections.length <= 1 || picked === 'all'
  const section = sections[Number(picked)]
  const chosen = isWhole || section === undefined ? summary : section.made
  return (
    <div className="mt-2 max-w-[46rem] text-[14px]">
      <p role="status">
        All of it takes <strong className="num font-[600]">{sayTime(summary.seconds)}</strong>, in{' '}
        {sections.length === 1 ? 'one go' : `${printNumber(sections.length)} parts with something to do between them`}.
      </p>
      {sections.length > 1 && (
        <p className="in-words text-[13.5px]">
          What leaves is <SelectOf label="What leaves" of={names} value={picked} choose={pick} />. Over a cable, burn part by
          part: a controller may not wait at M0.
        </p>
      )}
      <HandOutMade
        name={isWhole ? 'joined program' : `joined program, part ${Number(picked) + 1}`}
        made={chosen}
        bench={bench}
        burnWords="Burn it joined"
      />
    </div>
  )
}
