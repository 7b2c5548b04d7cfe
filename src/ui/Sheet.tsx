import type { ReactNode } from 'react'

/** A stage's sheet: its question, its plate, the given under it, and what is worked and judged beside it. */
export function Sheet(props: {
  readonly question: string
  readonly about: string
  readonly plate: ReactNode
  readonly given: ReactNode
  readonly side: ReactNode
}) {
  const { question, about, plate, given, side } = props
  return (
    <div className="sheet grid min-h-full grid-cols-1 wide:h-full wide:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="sheet flex min-w-0 flex-col px-4 py-4 sm:px-6 wide:overflow-y-auto">
        <h1 className="text-[22px] font-[680] leading-tight">{question}</h1>
        <p className="no-print mt-0.5 text-second">{about}</p>
        {plate}
        {given}
      </div>
      <div className="sheet border-t border-ink px-4 py-3 sm:px-6 wide:overflow-y-auto wide:border-l wide:border-t-0 wide:px-4">
        {side}
      </div>
    </div>
  )
}
