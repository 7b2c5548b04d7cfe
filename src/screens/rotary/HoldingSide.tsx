import { judge, type Mark } from '../../core/bench'
import { HOLDINGS, holdsIt, REASONS, type Holding } from '../../core/rotary'
import { engineOf, useBenchStore, useJudgedBench } from '../../state'
import { wordingOf } from '../../core/document'
import { Panel, Side, VerdictMark } from '../../ui'
import { setFact } from '../../state'

const NAMES: Readonly<Record<Holding, string>> = {
  rollers: 'On rollers',
  chuck: 'In a chuck',
  centres: 'Between centres',
  plate: 'Flat on a plate',
}
const WORST: readonly Mark[] = ['good', 'unknown', 'look', 'stop']

/** Every way to hold the object in hand, and what speaks against it. */
export function HoldingSide() {
  const bench = useJudgedBench()
  const id = bench?.rotary.inHand ?? ''
  const hasObject = bench?.rotary.objects[id] !== undefined
  return (
    <Side stage="rotary" part="holding">
      {hasObject && (
        <Panel title="Judged, every way to hold it">
          {HOLDINGS.map((it) => (
            <OneWay key={it} id={id} holding={it} />
          ))}
        </Panel>
      )}
    </Side>
  )
}

function OneWay({ id, holding }: { readonly id: string; readonly holding: Holding }) {
  const bench = useJudgedBench()
  const isChosen = useBenchStore((it) => it.bench?.rotary.holding.chosen === holding)
  if (bench === null) return null
  const engine = engineOf(bench)
  const verdicts = REASONS[holding].map((reason) => judge(engine, holdsIt, [id, holding, reason]))
  const worst = verdicts.map((it) => it.mark).reduce((p, q) => (WORST.indexOf(q) > WORST.indexOf(p) ? q : p))
  const against = verdicts.filter((it) => it.mark !== 'good')
  return (
    <section className="keep-together border-b border-rule py-2" aria-label={NAMES[holding]} data-holding={holding}>
      <div className="flex items-center gap-2">
        <VerdictMark mark={worst} />
        <h3 className={`text-[14px] ${isChosen ? 'font-[650]' : ''}`}>{NAMES[holding]}</h3>
        {isChosen ? (
          <span className="ml-auto text-[12px] text-second">chosen</span>
        ) : (
          <button
            type="button"
            className="link no-print ml-auto min-h-6 text-[13px]"
            onClick={() =>
              setFact('rotary.holding', { chosen: holding, origin: 'stated', doubt: { kind: 'exact' } }, 'how it is held')
            }
          >
            Hold it so
          </button>
        )}
      </div>
      <p className="pl-6 text-[13px] text-second">
        {against.length === 0
          ? 'Nothing speaks against it.'
          : against.map((it) => sentence(wordingOf(engine, it, bench.units).head)).join(' ')}
      </p>
    </section>
  )
}

function sentence(head: string): string {
  return /[?.!]$/.test(head) ? head : `${head}.`
}
