import { aSwitch, cautionsOf, tryLeft, type Tried } from '../../core/round'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'
import { NextLink } from '../../ui/FactLink'

const NAMES: Readonly<Record<Tried, string>> = { interlock: 'The lid’s switch', stop: 'The stop button', key: 'The key' }

/** When switches are due, and what else can hurt on this machine. */
export function RoundSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const due = aSwitch.each(bench)
  return (
    <Side stage="safety" part="round">
      {due.length > 0 && (
        <Panel title="Worked, until it is tried again">
          {due.map(([what]) => (
            <FigureRow key={what} def={tryLeft} args={[what]} label={NAMES[what]} />
          ))}
        </Panel>
      )}
      <Panel title="What else can hurt on this machine">
        <ul className="m-0 list-none p-0">
          {cautionsOf(bench).map(({ id, head, words, part }) => (
            <li key={id} className="keep-together border-b border-rule py-2 text-[13.5px]">
              <strong className="font-[650]">{head}.</strong> {words}{' '}
              <span className="no-print">
                <NextLink next={{ words: head, part }}>Where</NextLink>
              </span>
            </li>
          ))}
        </ul>
      </Panel>
    </Side>
  )
}
