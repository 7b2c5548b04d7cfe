import { lazy, Suspense, useEffect } from 'react'
import { useSession } from '../../state'
import { useUnits } from '../../ui'
import { CardDrawing } from './CardDrawing'
import { useMaterial } from './chosen'
import { pickCell, usePickedCell } from './picked'
import { useFaces, useShownCard, useStraight } from './useCard'

const ToneChart = lazy(async () => ({ default: (await import('./ToneChart')).ToneChart }))

/** The test card as burnt and as read, beside the tone over the dose. */
export function TonePlate() {
  const id = useMaterial()
  const shown = useShownCard(id)
  const faces = useFaces(id, shown, useUnits())
  const straight = useStraight(shown)
  const picked = usePickedCell()
  const cardId = useSession((it) => it.cardId)
  useEffect(() => pickCell(null), [cardId, id])
  if (id === null || shown === null) {
    return (
      <p className="my-8 max-w-[40rem] text-second" data-plate="The test card">
        The book is empty. Put the first material into it below: then a card is burnt on it, and what it looks like says how to
        burn a tone.
      </p>
    )
  }
  return (
    <div data-plate="The test card" className="mt-2 grid gap-x-6 gap-y-4 sm:grid-cols-2">
      <figure className="m-0 min-w-0">
        <CardDrawing
          card={shown.card}
          bare={shown.bare}
          faces={faces}
          straight={straight}
          picked={picked}
          {...(shown.id === null ? {} : { pick: pickCell })}
        />
        <figcaption className="mt-1 text-[12.5px] text-second">
          {shown.id === null
            ? straight === null
              ? 'The card that is designed below; tones are expected ones where the material is known.'
              : 'The card that is designed below, burnt on the screen: corners, line ends and delays as they are known here.'
            : `Card ${shown.card.code}${straight === null ? ', tones as read' : ', as its picture shows it, tones as read'}; in L*. Press a cell to correct it.`}
        </figcaption>
      </figure>
      <Suspense fallback={<p className="min-h-[260px] py-6 text-second">Loading the chart …</p>}>
        <ToneChart id={id} />
      </Suspense>
    </div>
  )
}
