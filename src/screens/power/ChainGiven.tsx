import { aHead, chainTable, MOST_STATES_OF, type ChainRow, type Fault } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { useBenchStore, useFigure, useChainState } from '../../state'
import { ChoiceField, Panel, Sentence, StageLink } from '../../ui'
import { Bonds } from './Bonds'
import { movable, sayFault } from './chainState'

/** The truth table, what it rests on, and the bonds. */
export function ChainGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const [head] = aHead.each(bench)[0] ?? []
  return (
    <div className="mt-3 grid gap-4">
      <Panel title="Worked, every state of the contacts">
        {head === undefined ? (
          <p className="py-2 text-second">
            There is no diode head on the drawing yet.{' '}
            <StageLink stage="power" part="wiring">
              Draw the wiring
            </StageLink>
          </p>
        ) : (
          <Table bench={bench} head={head} />
        )}
      </Panel>
      <Panel title="Given, the inputs">
        <Sentence>
          A pull-down at the input of the driver or head <ChoiceField path="electrical.driver.pullDown" />. While the controller
          starts or resets, its output <ChoiceField path="electrical.driver.starting" />.
        </Sentence>
        <p className="max-w-[46rem] pt-1 text-[13px] text-second">
          Every signal wire into a driver or a head is an input of its own: all of them must say on. A contact that nothing feeds
          is read by the input that it leads to. One fault at a time: a contact that stays closed, a wire that is off, an output
          that stays on.
        </p>
      </Panel>
      <Bonds bench={bench} />
      <p className="max-w-[46rem] text-[13px] text-second">
        The table says what follows from the drawing, no more: try every contact with the beam at its least power, behind the
        shield, before you rely on it. Local codes and licensed practice come first.
      </p>
    </div>
  )
}

function Table({ bench, head }: { readonly bench: Bench; readonly head: string }) {
  const worked = useFigure(chainTable, head)
  const contacts = movable(bench)
  if (worked === null) return null
  if (!worked.result.known) {
    return (
      <p className="py-2 text-second">
        Say below whether a pull-down is fitted: an input that nothing drives hangs on it, and the table with it.
      </p>
    )
  }
  const rows = worked.result.value
  return (
    <>
      <div className="overflow-x-auto">
        <table className="w-full border-collapse text-[13.5px]" aria-label="States of the safety chain">
          <thead>
            <tr className="border-b border-rule text-left align-bottom text-[12.5px] text-second">
              {contacts.map(({ id, name }) => (
                <th key={id} scope="col" className="py-1.5 pr-3 font-normal">
                  {name}
                </th>
              ))}
              <th scope="col" className="py-1.5 pr-3 font-normal">
                {bench.electrical.blocks[head]?.name}
              </th>
              <th scope="col" className="py-1.5 font-normal">
                With one fault it is on all the same
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <Row key={row.moved.join()} bench={bench} row={row} contacts={contacts.map((it) => it.id)} />
            ))}
          </tbody>
        </table>
      </div>
      {contacts.length > MOST_STATES_OF && (
        <p className="pt-1 text-[13px] text-second">
          With more than {MOST_STATES_OF} contacts each is worked by itself, not all of them together.
        </p>
      )}
    </>
  )
}

const sameFault = (p: Fault | null, q: Fault): boolean => p !== null && JSON.stringify(p) === JSON.stringify(q)

function Row({ bench, row, contacts }: { readonly bench: Bench; readonly row: ChainRow; readonly contacts: readonly string[] }) {
  const state = useChainState()
  const isShown = state.moved.join() === row.moved.join()
  const isRest = row.moved.length === 0
  const show = (fault: Fault | null): void => useChainState.setState({ moved: row.moved, told: fault === null || !isRest, fault })
  const said = saidOf(row)
  return (
    <tr
      className="border-b border-rule align-top"
      data-chain-row={row.moved.map((id) => bench.electrical.blocks[id]?.name).join(', ')}
    >
      {contacts.map((id) => (
        <td key={id} className="py-1.5 pr-3">
          {row.moved.includes(id) ? 'moved' : <span className="text-second">–</span>}
        </td>
      ))}
      <td className="py-1.5 pr-3">
        <button
          type="button"
          className={`link text-left ${isShown && state.fault === null ? 'font-[650]' : ''}`}
          aria-pressed={isShown && state.fault === null}
          onClick={() => show(null)}
        >
          {said}
        </button>
      </td>
      <td className="py-1.5">
        {row.defeatedBy.length === 0 ? (
          <span className="text-second">{isRest || !row.on ? 'none' : 'it is on already'}</span>
        ) : (
          row.defeatedBy.map((fault, i) => (
            <span key={i}>
              {i > 0 && '; '}
              <button
                type="button"
                className={`link text-left ${isShown && sameFault(state.fault, fault) ? 'font-[650]' : ''}`}
                aria-pressed={isShown && sameFault(state.fault, fault)}
                onClick={() => show(fault)}
              >
                {sayFault(bench, fault)}
              </button>
            </span>
          ))
        )}
      </td>
    </tr>
  )
}

/** What becomes of the head in a state, in words. */
function saidOf({ moved, on, untold }: ChainRow): string {
  if (moved.length > 0) return on || untold ? 'can be on' : 'dark'
  if (untold) return 'on without being told'
  return on ? 'dark until told' : 'never on'
}
