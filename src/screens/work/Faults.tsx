import { printNumber } from '../../core/units'
import type { PlannedProgram } from '../../state'
import { VerdictMark } from '../../ui'
import { ringDark, useRinged } from './chosenPiece'

/** What will not come out as drawn and has a place on the sheet: said here, marked on the plate. */
export function Faults({ program }: { readonly program: PlannedProgram }) {
  const { dark, unsteady } = program
  const ringed = useRinged(dark.count)
  const [worst] = dark.places
  const [fall, tilt] = (['falls', 'tilts'] as const).map((how) => unsteady.filter((it) => it.how === how).length) as [
    number,
    number,
  ]
  return (
    <ul className="m-0 list-none p-0 text-[13.5px]">
      {worst !== undefined && (
        <Fault>
          {dark.count === 1 ? 'One place gets' : `${printNumber(dark.count)} places get`} more than twice the light of their
          lines, up to <span className="num">{printNumber(worst.times, 1)}</span> times: there the head slows down at constant
          power.{' '}
          <button type="button" className="link no-print" aria-pressed={ringed} onClick={() => ringDark(!ringed)}>
            {ringed ? 'Leave the rings out' : 'Ring them on the sheet'}
          </button>
        </Fault>
      )}
      {tilt > 0 && (
        <Fault>
          {tilt === 1 ? 'One piece tips' : `${tilt} pieces tip`} up over a bar when cut free (triangles on the sheet): the head
          may hit the edge. Give {tilt === 1 ? 'it' : 'them'} a tab, or move the bars.
        </Fault>
      )}
      {fall > 0 && (
        <Fault>
          {fall === 1 ? 'One part falls' : `${fall} parts fall`} between the bars (triangles on the sheet). Give{' '}
          {fall === 1 ? 'it' : 'them'} a tab, or put bars closer.
        </Fault>
      )}
    </ul>
  )
}

function Fault({ children }: { readonly children: React.ReactNode }) {
  return (
    <li className="grid grid-cols-[12px_1fr] gap-x-2 border-b border-rule py-1.5">
      <span className="pt-1">
        <VerdictMark mark="look" label="" />
      </span>
      <span>{children}</span>
    </li>
  )
}
