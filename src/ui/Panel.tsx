import { useCallback, useState, type ReactNode } from 'react'
import type { Path } from '../core/bench'
import { Uncounted, UncountedLine } from './Uncounted'

/** A part of a sheet: a heading over a rule, and what stands under it. */
export function Panel({
  title,
  aside,
  children,
  className = '',
}: {
  readonly title: string
  readonly aside?: ReactNode
  readonly children: ReactNode
  readonly className?: string
}) {
  const [uncounted, setUncounted] = useState<Readonly<Record<string, readonly Path[]>>>({})
  const report = useCallback((id: string, paths: readonly Path[]) => {
    setUncounted((was) => (was[id] === undefined && paths.length === 0 ? was : { ...was, [id]: paths }))
  }, [])
  return (
    <section aria-label={title} className={className}>
      <div className="flex items-baseline justify-between gap-4 border-b border-ink pb-1.5">
        <h2 className="text-[13px] font-[650]">{title}</h2>
        {aside}
      </div>
      <Uncounted value={report}>{children}</Uncounted>
      <UncountedLine paths={[...new Set(Object.values(uncounted).flat())]} />
    </section>
  )
}
