import type { ReactNode } from 'react'

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
  return (
    <section aria-label={title} className={className}>
      <div className="flex items-baseline justify-between gap-4 border-b border-ink pb-1.5">
        <h2 className="text-[13px] font-[650]">{title}</h2>
        {aside}
      </div>
      {children}
    </section>
  )
}
