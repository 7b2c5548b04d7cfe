import { getAt, isChoice, type Path } from '../../core/bench'
import { labelAt, stepAid, type Bench, type StepList } from '../../core/document'
import { choicePath, factPath } from '../../core/document'
import { screwFor, THREADS } from '../../core/fasteners'
import { barCuts } from '../../core/schedule'
import { sayQuantity } from '../../core/units'
import { useFigure, useVerdicts } from '../../state'
import { ChoiceField, FactField, NextLink, VerdictRow } from '../../ui'
import { SettingsBack } from './PutBack'

/** What stands in a step beside its words: what is read in it, what that comes to, what it works through, where it all is. */
export function StepAids({ kind, bench }: { readonly kind: string; readonly bench: Bench }) {
  const { facts, verdicts, at, lists } = stepAid(kind, bench)
  const judged = useVerdicts().filter((it) => verdicts.includes(it.def.id))
  if (facts.length + judged.length + lists.length === 0 && at === null) return null
  return (
    <div className="mt-4 grid max-w-[46rem] gap-3">
      {facts.length > 0 && (
        <ul className="m-0 list-none p-0" aria-label="What is read in this step">
          {facts.map((path) => (
            <li
              key={path}
              className="flex min-h-11 flex-wrap items-center justify-between gap-3 border-b border-rule text-[16px]"
            >
              <span>{labelAt(bench, path)}</span>
              <Entry path={path} bench={bench} />
            </li>
          ))}
        </ul>
      )}
      {judged.length > 0 && (
        <ul className="m-0 list-none p-0" aria-label="What it comes to">
          {judged.map((it) => (
            <VerdictRow key={`${it.def.id}${it.args.join()}`} verdict={it} first={null} last />
          ))}
        </ul>
      )}
      {lists.map((it) => (
        <List key={it} of={it} bench={bench} />
      ))}
      {at !== null && (
        <p className="no-print">
          <NextLink next={at}>{at.words}</NextLink>.
        </p>
      )}
    </div>
  )
}

function Entry({ path, bench }: { readonly path: Path; readonly bench: Bench }) {
  return isChoice(getAt(bench, path)) ? (
    <ChoiceField path={choicePath(path)} place="step" />
  ) : (
    <FactField path={factPath(path)} place="step" />
  )
}

function List({ of, bench }: { readonly of: StepList; readonly bench: Bench }) {
  switch (of) {
    case 'screws':
      return <Screws bench={bench} />
    case 'plugs':
      return <Plugs bench={bench} />
    case 'settings to put back':
      return <SettingsBack />
    case 'cuts':
      return <Cuts bench={bench} />
  }
}

/** The screws of all joints, with the key that turns them. */
function Screws({ bench }: { readonly bench: Bench }) {
  const joints = Object.entries(bench.plan.joints).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Lines
      title="Screws"
      none="No joint is listed yet: Fasteners works out the screw of each."
      lines={joints.map(([id, joint]) => {
        const fit = screwFor(joint)
        const screw = fit.ok ? `${joint.count} × ${joint.thread} × ${fit.value.lengthMm}` : 'no standard screw fits'
        return { id, name: joint.name, says: `${screw}, key ${THREADS[joint.thread].key} mm` }
      })}
    />
  )
}

function Plugs({ bench }: { readonly bench: Bench }) {
  const plugs = Object.entries(bench.plan.plugs).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Lines
      title="Plugs, clips and hoses"
      none="None is listed: take the usual ones under “Plugs” below."
      lines={plugs.map(([id, { name, from, to }]) => ({ id, name, says: [from, to].filter(Boolean).join(' → ') }))}
    />
  )
}

/** What is cut from which bar, longest first, as on the cut plan. */
function Cuts({ bench }: { readonly bench: Bench }) {
  const cuts = useFigure(barCuts)
  const plan = cuts?.result.known === true && cuts.result.value.ok ? cuts.result.value.value : null
  const unit = bench.units === 'metric' ? 'mm' : 'in'
  return (
    <Lines
      title="Bars, one after the other"
      none="The lengths are not known yet: enter travel, carriage and bars under Motion."
      lines={(plan?.bars ?? []).map((bar, i) => ({
        id: String(i),
        name: `Bar ${i + 1}`,
        says: bar.parts.map((it) => sayQuantity(Math.round(it.lengthMm * 10) / 10, null, unit)).join(' · '),
      }))}
    />
  )
}

function Lines(props: {
  readonly title: string
  readonly none: string
  readonly lines: readonly { readonly id: string; readonly name: string; readonly says: string }[]
}) {
  const { title, none, lines } = props
  return (
    <section aria-label={title}>
      <h3 className="text-[13px] font-[650]">{title}</h3>
      {lines.length === 0 ? (
        <p className="text-second">{none}</p>
      ) : (
        <ul className="m-0 list-none p-0">
          {lines.map(({ id, name, says }) => (
            <li key={id} className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-1.5">
              <span>{name}</span>
              <span className="num text-[13.5px] text-second">{says}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
