import type { ReactNode } from 'react'
import type { Plan } from '../../core/schedule'
import { addRow, useRows, type RowList } from '../../state'
import { LongList } from '../../ui'

/** One list of the plan: its rows in their order, and a way to add another; long ones are drawn where they are looked at. */
export function Rows<L extends RowList>(props: {
  readonly list: L
  /** About how high a row is, px. */
  readonly height: number
  readonly row: (id: string, row: Plan[L][string]) => ReactNode
  /** Stands in the place of rows where there are none. */
  readonly none?: ReactNode
  readonly add: { readonly words: string; readonly row: Omit<Plan[L][string], 'order'>; readonly undo: string }
  /** Further ways to fill the list. */
  readonly children?: ReactNode
}) {
  const { list, height, row, none, add, children } = props
  const rows = useRows(list)
  return (
    <>
      <LongList of={rows} keyOf={([id]) => id} row={([id, it]) => row(id, it)} height={height} what={list} />
      {rows.length === 0 && none}
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => addRow(list, add.row, add.undo)}>
          {add.words}
        </button>
        {children}
      </div>
    </>
  )
}
