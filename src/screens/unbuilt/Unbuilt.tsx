import { Link } from 'react-router'
import type { STAGES } from '../../core/document'
import { useBenchStore, useVerdicts } from '../../state'
import { Panel, Records, VerdictRow } from '../../ui'
import { TAKES_OVER } from './takesOver'

/** A stage of later work: its question, what it will take over, and what is judged for it already. */
export function Unbuilt({ stage }: { readonly stage: (typeof STAGES)[number] }) {
  const verdicts = useVerdicts(stage.id)
  const id = useBenchStore((it) => it.bench?.id ?? '')
  return (
    <div className="max-w-[46rem] px-4 py-4 sm:px-6">
      <h1 className="text-[22px] font-[680] leading-tight">{stage.question}</h1>
      <p className="mt-3 border-y border-dashed border-second py-3">
        <strong className="font-[650]">{stage.name} is not built yet.</strong> {TAKES_OVER[stage.id]}
      </p>
      {verdicts.length > 0 && (
        <Panel title="Judged already" className="mt-6">
          <ul className="m-0 list-none p-0">
            {verdicts.map((verdict) => (
              <VerdictRow key={`${verdict.def.id}${verdict.args.join()}`} verdict={verdict} />
            ))}
          </ul>
        </Panel>
      )}
      <div className="mt-6">
        <Records stages={[stage.id]} />
      </div>
      <p className="mt-6">
        <Link className="link" to={`/bench/${id}/motion`}>
          Go on with Motion
        </Link>
      </p>
    </div>
  )
}
