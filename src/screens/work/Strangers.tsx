import { machineLimits, type Bench } from '../../core/document'
import { subroutinesOf } from '../../core/gcode'
import { printNumber } from '../../core/units'
import { engineOf, leaveOut, useProgram, type ProgramSummary } from '../../state'
import { Panel, StageLink } from '../../ui'
import { LineLink } from './LineLink'

/** Words shown; a file that is no program has endless ones. */
const SHOWN = 12

/** Words that are not carried out here: each may be left out, so that what is left can be worked on. */
export function Strangers({ bench, survey }: { readonly bench: Bench; readonly survey: ProgramSummary }) {
  const left = useProgram((it) => it.leaveOut)
  const { strangers } = survey
  if (strangers.length === 0) return null
  const set = (words: readonly string[]): void =>
    void leaveOut(words, machineLimits(engineOf(bench)), subroutinesOf(bench.output.card))
  const open = strangers.filter((it) => !left.includes(it.name)).map((it) => it.name)
  return (
    <Panel title="Words that are not carried out">
      <p className="text-[13px] text-second">
        What your controller does with them is not known here. Leave out what has to do with a tool, a pump or a fan; a line with
        such a G word goes whole. Subroutines are read where{' '}
        <StageLink stage="controller" part="settings">
          the output card
        </StageLink>{' '}
        states them.
      </p>
      <ul className="m-0 list-none p-0 text-[13.5px]">
        {strangers.slice(0, SHOWN).map(({ name, count, line }) => (
          <li key={name} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1.5">
            <label className="flex min-w-0 flex-1 items-baseline gap-2">
              <input
                type="checkbox"
                checked={left.includes(name)}
                onChange={(event) => set(event.target.checked ? [...left, name] : left.filter((it) => it !== name))}
              />
              <span>
                leave out <strong className="num font-[650]">{name}</strong>, {printNumber(count)}{' '}
                {count === 1 ? 'time' : 'times'}
              </span>
            </label>
            <LineLink line={line} />
          </li>
        ))}
      </ul>
      {open.length > 1 && (
        <button type="button" className="link no-print pt-1 text-[13px]" onClick={() => set([...left, ...open])}>
          Leave out all {printNumber(open.length)}
        </button>
      )}
    </Panel>
  )
}
