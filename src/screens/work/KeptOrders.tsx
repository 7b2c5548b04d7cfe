import { useState } from 'react'
import type { Bench } from '../../core/document'
import { DONE, dropOrder, isDone, keepOrder, takeUpOrder, type Told } from '../../state'
import { Findings, Panel, TakeAway } from '../../ui'

/** Orders that are kept: taken up again, only their files change. */
export function KeptOrders({ bench }: { readonly bench: Bench }) {
  const [name, setName] = useState('')
  const [said, say] = useState<Told>(DONE)
  const rows = Object.entries(bench.work.kept).sort(([, p], [, q]) => q.order - p.order)
  const isEmpty = Object.keys(bench.work.pieces).length === 0
  if (isEmpty && rows.length === 0) return null
  return (
    <Panel title="Kept orders">
      <ul className="m-0 list-none p-0">
        {rows.map(([id, it]) => {
          const count = Object.keys(it.pieces).length
          return (
            <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1 text-[14px]">
              <span className="num text-second">{it.at.slice(0, 10)}</span>
              <strong className="font-[600]">{it.name}</strong>
              <span className="text-second">{count === 1 ? 'one piece' : `${count} pieces`}</span>
              <button
                type="button"
                className="link no-print"
                aria-label={`Take up ${it.name}`}
                onClick={() => say(takeUpOrder(id))}
              >
                Take it up again
              </button>
              <TakeAway what={`Throw ${it.name} away`} act={() => dropOrder(id)} />
            </li>
          )
        })}
      </ul>
      {!isEmpty && (
        <form
          className="no-print mt-2 flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            const told = keepOrder(name)
            say(told)
            if (isDone(told)) setName('')
          }}
        >
          <input
            className="input min-h-8 w-64 py-0.5"
            aria-label="Name of the order"
            placeholder="Plant labels"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <button type="submit" className="button" disabled={name.trim() === ''}>
            Keep this order
          </button>
          <span className="text-[13px] text-second">Taken up again, its pieces get another file with “Another file”.</span>
        </form>
      )}
      <Findings findings={said} />
    </Panel>
  )
}
