import { SYMPTOM_SEEN, SYMPTOMS, type Symptom } from '../../core/faults'
import { saySeen, useBenchStore, useFound } from '../../state'
import { OwnPicture } from './OwnPicture'
import { SymptomPicture } from './SymptomPicture'

/** What the burn may look like, as it would on this machine; each answered with yes or no. */
export function WrongPlate() {
  const seen = useBenchStore(({ bench }) => bench?.faults.seen)
  const found = useFound()
  if (seen === undefined || found === null) return null
  const offered = SYMPTOMS.filter((it) => it !== 'seamOpen' || found.proof.turns)
  return (
    <figure className="mt-3 mb-0" data-plate="What it looks like">
      <OwnPicture />
      <ul className="m-0 grid list-none grid-cols-2 gap-3 p-0 sm:grid-cols-3 lg:grid-cols-4" aria-label="Symptoms">
        {offered.map((symptom) => (
          <li key={symptom} className="keep-together text-[13px]">
            <SymptomPicture symptom={symptom} proof={found.proof} />
            <p className="pt-1 leading-tight">{SYMPTOM_SEEN[symptom].name}</p>
            <Answer symptom={symptom} value={seen[symptom].chosen} />
          </li>
        ))}
      </ul>
      <figcaption className="pt-1 text-[12px] text-second">
        Drawn with this machine’s numbers, larger than life. What was not looked at says nothing.
      </figcaption>
    </figure>
  )
}

function Answer({ symptom, value }: { readonly symptom: Symptom; readonly value: 'yes' | 'no' | null }) {
  const { name } = SYMPTOM_SEEN[symptom]
  return (
    <div className="flex gap-1 pt-1" data-fact={`faults.seen.${symptom}`} data-place="given">
      {(['yes', 'no'] as const).map((answer) => (
        <button
          key={answer}
          type="button"
          aria-pressed={value === answer}
          aria-label={`${name}: ${answer === 'yes' ? 'like this' : 'not so'}`}
          className={`button min-h-8 px-2 py-0.5 text-[12.5px] ${value === answer ? 'button-first' : ''}`}
          onClick={() => saySeen(symptom, value === answer ? null : answer)}
        >
          {answer === 'yes' ? 'like this' : 'not so'}
        </button>
      ))}
    </div>
  )
}
