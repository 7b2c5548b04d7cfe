import { CAUSE_WORDS, type Cause } from '../../core/faults'
import { useFound } from '../../state'
import { Panel, Side } from '../../ui'
import { NextLink } from '../../ui/FactLink'

/** From here on a cause is worth mending before anything else is read. */
const DECIDED = 0.7
const SHOWN = 5

/** What is likely to be wrong, what mends it, and what proves that it is gone. */
export function WrongSide() {
  const found = useFound()
  if (found === null) return null
  const { list, isAsked } = found
  const [first] = list
  return (
    <Side stage="burns" part="wrong">
      <Panel title="Likely causes">
        {!isAsked && (
          <p className="py-1.5 text-[13.5px] text-second">
            Before anything was looked at: how often each is the cause, weighed by what this bench has measured.
          </p>
        )}
        <p role="status" className="py-1.5 text-[14px]">
          {first === undefined ? '' : sayFirst(first[0] === 'none' ? null : first[0], first[1], isAsked)}
        </p>
        <ol className="m-0 list-none p-0" aria-label="Causes" data-causes-of-burn>
          {list.slice(0, SHOWN).map(([culprit, chance]) => (
            <li key={culprit} className="keep-together border-b border-rule py-2 text-[14px]">
              <div className="flex items-baseline justify-between gap-3">
                <strong className="font-[650]">
                  {culprit === 'none' ? 'Nothing out of the usual' : CAUSE_WORDS[culprit].name}
                </strong>
                <span className="num">{Math.round(chance * 100)}%</span>
              </div>
              <span className="mt-1 block h-1.5 bg-rule">
                <span className="block h-1.5 bg-ink" style={{ width: `${chance * 100}%` }} />
              </span>
              {culprit !== 'none' && chance > 0.05 && <Mend cause={culprit} />}
            </li>
          ))}
        </ol>
        <p className="py-1.5 text-[12px] text-second">
          One cause at a time: after a repair burn the pattern again and begin anew. Two at once may look like a third.
        </p>
      </Panel>
    </Side>
  )
}

function sayFirst(cause: Cause | null, chance: number, isAsked: boolean): string {
  if (!isAsked) return 'Say what the burn looks like: begin with what strikes you first.'
  if (cause === null)
    return chance >= DECIDED
      ? 'By all this the burn is as it usually is.'
      : 'Nothing stands out yet: read what is asked for next.'
  const { name } = CAUSE_WORDS[cause]
  return chance >= DECIDED ? `${name}: mend that first.` : `${name} is the likeliest so far; what is asked for next decides.`
}

function Mend({ cause }: { readonly cause: Cause }) {
  const { why, mend, at, proof, proofAt } = CAUSE_WORDS[cause]
  return (
    <div className="pt-1 text-[13px] text-second">
      <p>{why}</p>
      <p>
        <NextLink next={{ words: mend, part: at }}>{mend}</NextLink>
      </p>
      <p>
        Afterwards: <NextLink next={{ words: proof, part: proofAt }}>{proof}</NextLink>{' '}
        <NextLink next={{ words: 'Write it down', part: 'log/repairs' }}>Write the repair down.</NextLink>
      </p>
    </div>
  )
}
