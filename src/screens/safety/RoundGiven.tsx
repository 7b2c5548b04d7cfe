import { useState } from 'react'
import type { Tried, Try } from '../../core/round'
import { DONE, isDone, keepRound, noteTry, removeSwitchTry, useBenchStore, useRound } from '../../state'
import { ChoiceField, FactField, Findings, Panel, PlainField, SelectOf, Sentence, TakeAway } from '../../ui'
import { AfterBurn } from './AfterBurn'

const WHAT: Readonly<Record<Tried, string>> = { interlock: 'the lid’s switch', stop: 'the stop button', key: 'the key' }
const WENT: Readonly<Record<Try['went'], string>> = {
  dark: 'dark at once, and dark until reset',
  lit: 'it stayed lit',
  back: 'dark, but lit again by itself',
}

/** What the round asks for on this machine, tries of its switches, and the watch afterwards. */
export function RoundGiven() {
  const round = useBenchStore(({ bench }) => bench?.round)
  const looks = useRound()
  const [told, setTold] = useState(DONE)
  if (round === undefined) return null
  return (
    <div className="mt-4 grid gap-4">
      <Panel title="Given, for the round">
        <Sentence>
          Against fire there is <ChoiceField path="round.extinguisher" />. While it burns there is in the room{' '}
          <ChoiceField path="round.room" />. After a burn somebody watches for <FactField path="round.watch" />. Switches are
          tried again after <FactField path="round.every" /> days.
        </Sentence>
        <div className="no-print flex flex-wrap gap-2 py-1">
          <button type="button" className="button" onClick={() => window.print()}>
            Print the round
          </button>
          <button type="button" className="button" onClick={() => void keepRound(looks).then(setTold)}>
            Write it down
          </button>
        </div>
        <Findings findings={told} />
      </Panel>
      <Tries tries={round.tries} />
      <AfterBurn />
    </div>
  )
}

function Tries({ tries }: { readonly tries: Readonly<Record<string, Try>> }) {
  const [what, setWhat] = useState<Tried>('interlock')
  const [went, setWent] = useState<Try['went']>('dark')
  const [note, setNote] = useState('')
  const [told, setTold] = useState(DONE)
  const rows = Object.entries(tries).sort(([, p], [, q]) => q.at.localeCompare(p.at))
  const add = (): void => {
    const said = noteTry(what, went, note)
    setTold(said)
    if (isDone(said)) setNote('')
  }
  return (
    <Panel title="Given, switches that were tried">
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        With box shut, eyewear on and the lowest power that can be seen: lift the lid by a finger, press the stop, turn the key.
        The beam must go dark, and stay dark until somebody resets it. What does not is mended before the next burn.
      </p>
      {rows.length === 0 && <p className="py-1.5 text-[14px] text-second">Nothing was tried yet.</p>}
      <ul className="m-0 list-none p-0" aria-label="Tries">
        {rows.map(([id, it]) => (
          <li key={id} className="flex items-center gap-3 border-b border-rule py-1.5 text-[14px]">
            <span className="num w-24 shrink-0 text-second">{it.at.slice(0, 10)}</span>
            <span>
              {WHAT[it.what]}: {WENT[it.went]}
              {it.note === '' ? '' : `. ${it.note}`}
            </span>
            <TakeAway what={`Take the try of ${it.at.slice(0, 10)} away`} act={() => removeSwitchTry(id)} />
          </li>
        ))}
      </ul>
      <div className="no-print flex flex-wrap items-end gap-2 py-2 text-[14px]">
        <SelectOf label="What was tried" of={WHAT} value={what} choose={setWhat} />
        <SelectOf label="What the beam did" of={WENT} value={went} choose={setWent} />
        <PlainField
          label="Note"
          words
          value={note}
          className="w-56"
          keep={(it) => {
            setNote(it)
            return DONE
          }}
        />
        <button type="button" className="button" onClick={add}>
          Write the try down
        </button>
      </div>
      <Findings findings={told} />
    </Panel>
  )
}
