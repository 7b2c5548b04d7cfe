import { useCallback, useState } from 'react'

/** The width of an element, px, kept up to date; and the ref that finds it. */
export function useWidth(): readonly [number, (node: HTMLElement | null) => (() => void) | undefined] {
  const [width, setWidth] = useState(0)
  const ref = useCallback((node: HTMLElement | null) => {
    if (node === null) return undefined
    const observer = new ResizeObserver(() => setWidth(node.clientWidth))
    observer.observe(node)
    return () => observer.disconnect()
  }, [])
  return [width, ref]
}
