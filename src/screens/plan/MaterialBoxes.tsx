import { MATERIALS, MATERIAL_IDS, type MaterialId } from '../../core/safety'

/** What is to be burnt, ticked; what must never be stands among the rest, so that it is asked and answered. */
export function MaterialBoxes({
  ticked,
  change,
}: {
  readonly ticked: readonly MaterialId[]
  readonly change: (ticked: readonly MaterialId[]) => void
}) {
  const box = (id: MaterialId) => (
    <label key={id} className="flex min-h-6 items-center gap-2" title={MATERIALS[id].why || undefined}>
      <input
        type="checkbox"
        className="h-4 w-4 shrink-0 accent-[var(--teal)]"
        checked={ticked.includes(id)}
        onChange={(event) => change(event.target.checked ? [...ticked, id] : ticked.filter((it) => it !== id))}
      />
      {MATERIALS[id].name}
    </label>
  )
  const of = (burning: string): readonly MaterialId[] => MATERIAL_IDS.filter((id) => MATERIALS[id].burning === burning)
  const never = of('never')
  return (
    <fieldset className="text-[13px]">
      <legend className="text-[15px]">Burnt are</legend>
      <div className="mt-1 grid gap-x-5 gap-y-0.5 sm:grid-cols-2 lg:grid-cols-3">
        {[...of('usual'), ...of('condition')].map(box)}
      </div>
      <details className="mt-1" open={never.some((id) => ticked.includes(id))}>
        <summary className="cursor-pointer py-1 text-second">Anything of these? They are never burnt</summary>
        <div className="grid gap-x-5 gap-y-0.5 sm:grid-cols-2">{never.map(box)}</div>
      </details>
    </fieldset>
  )
}
