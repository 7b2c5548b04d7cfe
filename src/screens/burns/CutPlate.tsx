import { lazy, Suspense } from 'react'
import { useMaterial } from './chosen'

const CutChart = lazy(async () => ({ default: (await import('./CutChart')).CutChart }))

/** The chance that a line comes through over its speed, with the tries. */
export function CutPlate() {
  const id = useMaterial()
  return (
    <div data-plate="The chance of cutting through">
      {id === null ? (
        <p className="my-8 max-w-[40rem] text-second">
          The book is empty. Put the first material into it below: then a line is tried, and what became of it says how fast to
          cut.
        </p>
      ) : (
        <Suspense fallback={<p className="h-[300px] py-6 text-second">Loading the chart …</p>}>
          <CutChart id={id} />
        </Suspense>
      )}
    </div>
  )
}
