import { lessonOf } from '../../core/course'
import { HOW_READ, READINGS, type Reading } from '../../core/faults'
import { forgetFaults, readForLesson, useBenchStore, useFound } from '../../state'
import { FactField, Panel, Sentence } from '../../ui'

/** What is read of the pattern: first the one thing that tells most. */
export function WrongGiven() {
  const found = useFound()
  if (found === null) return null
  const [first, ...others] = found.next
  const isOpen = new Set(found.next.map((it) => it.reading))
  const done = READINGS.filter((it) => !isOpen.has(it) && (it !== 'seam' || found.proof.turns))
  return (
    <div className="mt-4 grid gap-4">
      <Panel title="Read this next">
        {first === undefined ? (
          <p className="py-2 text-[14px] text-second">Everything was read.</p>
        ) : (
          <div className="py-2">
            <Row reading={first.reading} />
            <p className="pt-1 text-[13px] text-second">
              About {first.minutes} min; it takes away the most doubt for the time it costs.
            </p>
          </div>
        )}
      </Panel>
      {done.length > 0 && (
        <Panel title="Given, what was read">
          {done.map((it) => (
            <Row key={it} reading={it} />
          ))}
        </Panel>
      )}
      <Panel title="What else can be read">
        {others.map(({ reading }) => (
          <Row key={reading} reading={reading} />
        ))}
      </Panel>
      <Panel title="Given, the pattern">
        <Sentence>
          A square of 60 mm is burnt five times over, and lines there and back, slowly at <FactField path="faults.slow" /> and
          fast at <FactField path="faults.fast" />; short lines at the four corners of the bed.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          Any burn of yours with such lines does as well. Whatever is loosened, plugged or cleaned: beam off, plug drawn, diode
          cold.
        </p>
        <div className="no-print py-1">
          <button type="button" className="button" onClick={() => forgetFaults()}>
            Begin with another burn
          </button>
        </div>
      </Panel>
    </div>
  )
}

function Row({ reading }: { readonly reading: Reading }) {
  const isLesson = useBenchStore((it) => lessonOf(it.bench?.id ?? '')?.lesson === 'wrong')
  const { name, how } = HOW_READ[reading]
  return (
    <p className="border-b border-rule py-1.5 text-[14px]">
      <strong className="font-[650]">{name}</strong> <FactField path={`faults.read.${reading}`} />{' '}
      <span className="text-[13px] text-second">{how}</span>
      {isLesson && (
        <button
          type="button"
          className="link ml-2 text-[13px]"
          aria-label={`Read it of the lesson’s burn: ${name}`}
          onClick={() => readForLesson(reading)}
        >
          Read it of the lesson’s burn
        </button>
      )}
    </p>
  )
}
