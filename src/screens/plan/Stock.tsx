import { cutListOf } from '../../core/motion'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** What bars, rails and plates are cut from. */
export function Stock() {
  const frame = useBenchStore((it) => it.bench?.motion.frame)
  const kinematics = useBenchStore((it) => it.bench?.motion.kinematics.chosen ?? null)
  const list = cutListOf(kinematics, frame?.guides.chosen ?? null)
  return (
    <Panel title="Given, the stock">
      {list.bars.length > 0 && (
        <Sentence>
          Bars are cut from stock of <FactField path="plan.stock.length" />; <FactField path="plan.stock.trim" /> comes off the
          first end, a cut takes <FactField path="plan.stock.kerf" />. Leave each <FactField path="plan.stock.leaveLong" /> long
          and creep up on it. Carriage and gantry run on <ChoiceField path="motion.frame.guides" />
          {list.guides.length > 0 && (
            <>
              , which stand <FactField path="motion.frame.guideOver" /> over at each end; they are cut from{' '}
              <FactField path="plan.guideStock.length" />, <FactField path="plan.guideStock.trim" /> off the first end,{' '}
              <FactField path="plan.guideStock.kerf" /> a cut
            </>
          )}
          . The gantry’s end plates are <FactField path="motion.frame.endHeight" /> high.
        </Sentence>
      )}
      <Sentence>
        Plates are <FactField path="motion.frame.plateThickness" /> thick.
      </Sentence>
      <p className="mt-1 max-w-[46rem] text-[13px] text-second">
        A saw, a cutting disc and a drill throw chips and sparks and catch sleeves: eye and ear protection, the work clamped, no
        gloves at turning parts. A hardened shaft shatters under a hacksaw and is cut with a disc, behind a guard.
      </p>
    </Panel>
  )
}
