import { useEffect, useRef, useState, type ReactNode } from 'react'
import { useVirtualizer } from '@tanstack/react-virtual'

/** A list of which only the rows near the window are there; on paper all of them are. */
export function NearRows(props: {
  readonly count: number
  readonly keyAt: (i: number) => string
  readonly rowAt: (i: number) => ReactNode
  readonly height: number
  readonly what: string
}) {
  const { count, keyAt, rowAt, height, what } = props
  const list = useRef<HTMLUListElement>(null)
  const { scroller, top } = useScroller(list)
  const printing = usePrinting()
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is handed on: its rows are drawn right here
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller,
    estimateSize: () => height,
    // The browser tells the real height when it has laid the rows out; asked for before that, it would lay out at each.
    measureElement: (_, entry) => entry?.borderBoxSize[0]?.blockSize ?? height,
    overscan: 8,
    scrollMargin: top,
    getItemKey: (i) => (i < count ? keyAt(i) : i),
  })
  if (printing) return <ul className="m-0 list-none p-0">{Array.from({ length: count }, (_, i) => rowAt(i))}</ul>
  return (
    <ul ref={list} className="relative m-0 list-none p-0" style={{ height: rows.getTotalSize() }} aria-label={`${count} ${what}`}>
      {rows.getVirtualItems().map(({ key, index, start }) => (
        <div
          key={key}
          ref={rows.measureElement}
          data-index={index}
          role="none"
          className="absolute inset-x-0 top-0"
          style={{ transform: `translateY(${start - top}px)` }}
        >
          {rowAt(index)}
        </div>
      ))}
    </ul>
  )
}

interface Scroller {
  /** What scrolls the list: the sheet, or the column of it that it stands in. */
  readonly scroller: Element | null
  /** Where in that the list begins, px. */
  readonly top: number
}

function useScroller(list: { readonly current: HTMLElement | null }): Scroller {
  const [found, setFound] = useState<Scroller>({ scroller: null, top: 0 })
  useEffect(() => {
    const scroller = scrollerOf(list.current)
    if (list.current === null || scroller === null) return
    const own = list.current
    const look = (): void => {
      const top = own.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop
      setFound((was) => (was.scroller === scroller && Math.abs(was.top - top) < 1 ? was : { scroller, top }))
    }
    // What stands above the list, or the window itself, may grow.
    const watch = new ResizeObserver(look)
    for (let at: Element | null = own.parentElement; at !== null && at !== scroller; at = at.parentElement) watch.observe(at)
    watch.observe(scroller)
    return () => watch.disconnect()
  }, [list])
  return found
}

function scrollerOf(element: Element | null): Element | null {
  for (let at = element?.parentElement ?? null; at !== null; at = at.parentElement) {
    if (/auto|scroll/.test(getComputedStyle(at).overflowY)) return at
  }
  return document.scrollingElement
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
