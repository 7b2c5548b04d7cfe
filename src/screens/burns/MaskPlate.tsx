import { lazy, Suspense } from 'react'
import { useMaterial } from './chosen'

const MaskChart = lazy(async () => ({ default: (await import('./MaskChart')).MaskChart }))

/** The chances of cutting the tape and of marking what lies beneath, over the speed: the window between them. */
export function MaskPlate() {
  const id = useMaterial()
  return (
    <div data-plate="The window of a mask">
      {id === null ? (
        <p className="my-8 max-w-[40rem] text-second">
          The book is empty. Put what lies beneath the tape into it below: then a line is cut through the tape, peeled, and looked
          at.
        </p>
      ) : (
        <Suspense fallback={<p className="h-[300px] py-6 text-second">Loading the chart …</p>}>
          <MaskChart id={id} />
        </Suspense>
      )}
    </div>
  )
}
