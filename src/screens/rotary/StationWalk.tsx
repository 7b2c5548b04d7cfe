import { useMemo } from 'react'
import { stationWalk, type Bench } from '../../core/document'
import { leavesTravel } from '../../core/work'
import { DONE, newId, travelOfBench } from '../../state'
import { Findings } from '../../ui'
import { HandOut } from '../../ui/HandOut'

/** Finds station 1: its outline is walked with the faint light, and the plate turned until the station lies under it. */
export function StationWalk({ bench }: { readonly bench: Bench }) {
  const walk = useMemo(() => stationWalk(bench), [bench])
  return (
    <details className="mt-2 border-t border-rule pt-2 text-[13.5px]">
      <summary className="cursor-pointer text-teal">Find station 1 by its outline</summary>
      <p className="max-w-[46rem] pt-1">
        At sighting power the outline of one station is walked five times, around the middle of the order’s sheet, lying along{' '}
        {bench.rotary.stack.axisLies.chosen === 'y' ? 'Y' : 'X'}. With eyewear on, your hand at the far rim, turn the plate until
        station 1 lies under the light, then lock it: from there all angles are counted.
      </p>
      {walk.ok ? <Walk bench={bench} walk={walk.value} /> : <Findings findings={walk.findings} />}
    </details>
  )
}

function Walk(props: { readonly bench: Bench; readonly walk: Extract<ReturnType<typeof stationWalk>, { ok: true }>['value'] }) {
  const { bench, walk } = props
  const [xs, ys] = [walk.outline.map((it) => it.x), walk.outline.map((it) => it.y)]
  const beyond = leavesTravel(
    { minX: Math.min(...xs), maxX: Math.max(...xs), minY: Math.min(...ys), maxY: Math.max(...ys), minZ: 0, maxZ: 0 },
    travelOfBench(bench),
  )
  return (
    <>
      <Findings findings={beyond} />
      <HandOut
        name="outline of station 1"
        steps={walk.steps}
        bench={bench}
        prepare={() =>
          beyond.length > 0
            ? { ok: false, findings: beyond }
            : { ok: true, value: { id: `outline ${newId()}`, keep: () => DONE }, findings: [] }
        }
        burnWords="Walk it"
      />
    </>
  )
}
