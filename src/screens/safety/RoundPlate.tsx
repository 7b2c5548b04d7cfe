import type { Mark } from '../../core/bench'
import { useRound, useSession, tickCaution, type RoundLook } from '../../state'
import { OpenOf } from '../../ui/OpenOf'

/** The round as a sheet to go round the machine with: before on the left, after on the right. */
export function RoundPlate() {
  const looks = useRound()
  const of = (when: RoundLook['when']): readonly RoundLook[] => looks.filter((it) => it.when === when)
  const counted = (mark: Mark): number => looks.filter((it) => it.mark === mark).length
  return (
    <figure className="mt-3 mb-0" data-plate="The round">
      <figcaption className="text-[14px]">
        <strong className="font-[650]">{sayOpen(counted('stop'), counted('unknown'))}</strong>{' '}
        <span className="text-second">
          {counted('look') === 0
            ? ''
            : counted('look') === 1
              ? 'One is to be looked at twice. '
              : `${counted('look')} are to be looked at twice. `}
          What is ticked was looked at; nothing here calls a burn safe.
        </span>
      </figcaption>
      <div className="mt-2 grid gap-x-8 gap-y-2 lg:grid-cols-2 print:grid-cols-2">
        <Column title="Before the beam is on" looks={of('before')} />
        <Column title="After it" looks={of('after')} />
      </div>
    </figure>
  )
}

/** What stands against a burn; what is not known yet stands against it too. */
function sayOpen(stops: number, unknown: number): string {
  if (stops > 0) return stops === 1 ? 'One thing stands against a burn.' : `${stops} things stand against a burn.`
  if (unknown > 0)
    return `${unknown === 1 ? 'One thing is' : `${unknown} things are`} not known yet: keep the beam off until then.`
  return 'No stop stands against a burn.'
}

function Column({ title, looks }: { readonly title: string; readonly looks: readonly RoundLook[] }) {
  const ticked = useSession((it) => it.cautionsTicked)
  return (
    <section aria-label={title}>
      <h2 className="border-b border-ink py-1.5 text-[13px] font-[650]">{title}</h2>
      <ol className="m-0 list-none p-0">
        {looks.map((look, k) => (
          <li key={look.id} className="keep-together border-b border-rule">
            <label className="flex min-h-11 cursor-pointer gap-3 py-2">
              <input
                type="checkbox"
                className="mt-1 h-4 w-4 shrink-0 accent-[var(--teal)]"
                checked={ticked.includes(look.id)}
                onChange={() => tickCaution(look.id)}
              />
              <span className="text-[14px]">
                <span className="num text-[12px] text-second">{k + 1}</span> <strong className="font-[650]">{look.head}</strong>{' '}
                {look.words}
              </span>
            </label>
            <OpenOf look={look} />
          </li>
        ))}
      </ol>
    </section>
  )
}
