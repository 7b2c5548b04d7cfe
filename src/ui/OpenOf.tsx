import { wordingOf } from '../core/document'
import { engineOf, useJudgedBench, type RoundLook } from '../state'
import { NextLink } from './FactLink'
import { useUnits } from './Quantity'
import { VerdictMark } from './VerdictMark'

/** What of a step of the round is still open on the bench, and where it is closed; nothing where it is judged good, or not at all. */
export function OpenOf({ look, leave }: { readonly look: RoundLook; readonly leave?: () => void }) {
  const bench = useJudgedBench()
  const system = useUnits()
  const { mark, worst } = look
  if (bench === null || mark === null || mark === 'good' || worst === null) return null
  const { head, next } = wordingOf(engineOf(bench), worst, system)
  return (
    <p className="flex items-baseline gap-2 pb-2 pl-7 text-[13px]">
      <VerdictMark mark={mark} />
      <span>
        {head}
        {/[?.!]$/.test(head) ? ' ' : '. '}
        <span onClick={leave}>
          <NextLink next={next ?? { words: 'See where', ...look.at }}>{next?.words ?? 'See where'}.</NextLink>
        </span>
      </span>
    </p>
  )
}
