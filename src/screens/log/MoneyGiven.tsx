import { FactField, Panel, Sentence, StageLink } from '../../ui'

/** A job, what it uses up, and what an hour is worth. */
export function MoneyGiven() {
  return (
    <div className="mt-4 grid gap-4">
      <Panel title="Given, a job">
        <Sentence>
          Beam and motion take <FactField path="log.job.beam" />, hands <FactField path="log.job.hands" /> at{' '}
          <FactField path="log.job.hour" /> an hour; the material costs <FactField path="log.job.material" />.{' '}
          <FactField path="log.job.spoilt" /> of the pieces are spoilt. On top comes <FactField path="log.job.profit" />.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          How long beam and motion take is taken over from the summary of a work order, in{' '}
          <StageLink stage="work">Work</StageLink>. Money is in whatever you pay with; taxes are a matter of where it is sold.
        </p>
      </Panel>
      <Panel title="Given, what wears out">
        <Sentence>
          A new diode head costs <FactField path="log.job.headPrice" /> and lasts <FactField path="log.job.headLife" />; a filter{' '}
          <FactField path="log.job.filterPrice" /> and <FactField path="log.job.filterLife" />. While it burns it draws{' '}
          <FactField path="log.job.draws" />; a kilowatt hour costs <FactField path="log.job.kilowattHour" />.
        </Sentence>
      </Panel>
      <Panel title="Given, the whole machine">
        <Sentence>
          The bought thing would cost <FactField path="plan.readyPrice" />. It has run <FactField path="calibrate.hours" />.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          What was spent comes from the parts list in{' '}
          <StageLink stage="plan" part="parts">
            Plan
          </StageLink>{' '}
          and from entries of this log that have a price.
        </p>
      </Panel>
    </div>
  )
}
