import type { Allotment } from '../../core/fasteners'
import type { Bench } from '../../core/document'

/** Where the screws of the bag belong, what is missing, what is left over. */
export function Belongs({ bench, allotment }: { readonly bench: Bench; readonly allotment: Allotment }) {
  const name = (id: string): string => bench.plan.joints[id]?.name ?? ''
  const thread = (id: string): string => bench.plan.joints[id]?.thread ?? ''
  const { given, missing, left } = allotment
  return (
    <ul className="m-0 mt-2 list-none p-0 text-[13px]" aria-label="Where the screws belong">
      {given.map(({ jointId, lengthMm, count }) => (
        <li key={`${jointId}${lengthMm}`}>
          <span className="num">
            {count} of {thread(jointId)} × {lengthMm}
          </span>{' '}
          belong to {name(jointId)}.
        </li>
      ))}
      {missing.map(({ jointId, count }) => (
        <li key={jointId} className="font-[650]">
          {count} missing for {name(jointId)}.
        </li>
      ))}
      {left.map((it) => (
        <li key={`${it.thread}${it.lengthMm}`} className="text-second">
          <span className="num">
            {it.count} of {it.thread} × {it.lengthMm}
          </span>{' '}
          left over.
        </li>
      ))}
    </ul>
  )
}
