import type { Bench } from '../../core/document'
import { setSequence } from '../../state'
import { SelectOf } from '../../ui'
import { MmField } from './Held'

const SEQUENCES = { quickest: 'in the quickest order', listed: 'in the order of this list' } as const

/** In which order lines are burnt, as far as it is free. */
export function Sequence({ bench }: { readonly bench: Bench }) {
  const { sequence, apart } = bench.work
  return (
    <p className="in-words mt-1 text-[14px] leading-[2.1]">
      Marks come before cuts, what lies inside before what is around it; within that lines are burnt{' '}
      <SelectOf label="Order of lines" of={SEQUENCES} value={sequence} choose={(it) => setSequence({ sequence: it })} />, the next
      no nearer than{' '}
      <MmField label="Away from the heat of the last line" valueMm={apart} keep={(mm) => setSequence({ apart: mm ?? 0 })} /> to
      the heat of the last.
    </p>
  )
}
