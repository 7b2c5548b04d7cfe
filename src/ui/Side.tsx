import type { ReactNode } from 'react'
import { Judged } from './Judged'
import { later } from './later'

// What is spoilt is known when every domain is here, and what was written down can wait as long.
const Consequences = later(async () => (await import('./Consequences')).Consequences, 'at rest')
export const Records = later(async () => (await import('./Records')).Records, 'at rest')

/**
 * What stands beside a plate: what is to be done again, what is worked, what is judged, what was written down.
 * @param part Where good verdicts of the other parts are left out. @param records Stages whose records are listed; the stage's own unless said.
 */
export function Side(props: {
  readonly stage: string
  readonly part?: string | undefined
  readonly records?: readonly string[]
  readonly children?: ReactNode
}) {
  const { stage, part, records = [stage], children } = props
  return (
    <div className="grid gap-5 sm:grid-cols-2 sm:items-start sm:gap-x-8 wide:grid-cols-1">
      <div className="grid gap-5 wide:contents">
        <Consequences />
        {children}
      </div>
      <div className="grid gap-5 wide:contents">
        <Judged stage={stage} part={part} />
        <div className="wide:order-2">
          <Records stages={records.join(' ')} />
        </div>
      </div>
    </div>
  )
}
