import { Judged, Records, StageLink } from '../../ui'
import type { StageDef } from '../../ui/stage'
import { SOON } from './soon'

/** A stage of later work: its question, what it will take over, and what is judged for it already. */
export function Unbuilt({ stage }: { readonly stage: StageDef }) {
  return (
    <div className="max-w-[46rem] px-4 py-4 sm:px-6">
      <h1 className="text-[22px] font-[680] leading-tight">{stage.question}</h1>
      <p className="mt-3 border-y border-dashed border-second py-3">
        <strong className="font-[650]">{stage.name} is not built yet.</strong> {SOON[stage.id]}
      </p>
      <div className="mt-6">
        <Judged stage={stage.id} title="Judged already" />
      </div>
      <div className="mt-6">
        <Records stages={stage.id} />
      </div>
      <p className="mt-6">
        <StageLink stage="motion">Go on with Motion</StageLink>
      </p>
    </div>
  )
}
