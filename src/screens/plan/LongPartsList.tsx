import { useEffect, useRef, useState } from 'react'
import { useVirtualizer } from '@tanstack/react-virtual'
import type { PlanPart } from '../../core/schedule'
import { PartRow } from './PartRow'

/** Height of a row on a wide sheet, px; the real one is measured. */
const ROW = 45

/** A parts list of any length: only the rows near the window are there, but on paper, where all of them are. */
export function LongPartsList({ parts }: { readonly parts: readonly (readonly [string, PlanPart])[] }) {
  const list = useRef<HTMLUListElement>(null)
  const [top, setTop] = useState(0)
  const printing = usePrinting()
  useEffect(() => {
    const sheet = document.getElementById('sheet')
    if (list.current === null || sheet === null) return
    setTop(list.current.getBoundingClientRect().top - sheet.getBoundingClientRect().top + sheet.scrollTop)
  }, [])
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is handed on: its rows are drawn right here
  const rows = useVirtualizer({
    count: parts.length,
    getScrollElement: () => document.getElementById('sheet'),
    estimateSize: () => ROW,
    overscan: 8,
    scrollMargin: top,
    getItemKey: (i) => parts[i]?.[0] ?? i,
  })
  if (printing) {
    return (
      <ul className="m-0 list-none p-0">
        {parts.map(([id, part]) => (
          <PartRow key={id} id={id} part={part} />
        ))}
      </ul>
    )
  }
  return (
    <ul
      ref={list}
      className="relative m-0 list-none p-0"
      style={{ height: rows.getTotalSize() }}
      aria-label={`${parts.length} parts`}
    >
      {rows.getVirtualItems().map(({ key, index, start }) => {
        const [id, part] = parts[index] ?? []
        if (id === undefined || part === undefined) return null
        return (
          <div
            key={key}
            ref={rows.measureElement}
            data-index={index}
            role="none"
            className="absolute inset-x-0 top-0"
            style={{ transform: `translateY(${start - top}px)` }}
          >
            <PartRow id={id} part={part} />
          </div>
        )
      })}
    </ul>
  )
}

/** Whether the page is being put on paper. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false)
  useEffect(() => {
    const begin = (): void => setPrinting(true)
    const end = (): void => setPrinting(false)
    window.addEventListener('beforeprint', begin)
    window.addEventListener('afterprint', end)
    return () => {
      window.removeEventListener('beforeprint', begin)
      window.removeEventListener('afterprint', end)
    }
  }, [])
  return printing
}
