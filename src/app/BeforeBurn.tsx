import type { ReactNode } from 'react'
import { useLocation } from 'react-router'
import { shownNumber } from '../core/bench'
import { densityToAskFor, densityWatching } from '../core/safety'
import { endCautions, leaveCautions, tickCaution, useBenchStore, useFigure, useSession } from '../state'
import { FactLink } from '../ui'
import { Over } from './Over'

/** The cautions before a program that turns the beam on leaves: asked for once a session. */
export function BeforeBurn() {
  const wavelength = useBenchStore((it) => it.bench?.optics.wavelength)
  const density = useFigure(densityWatching)
  const value = density === null ? null : shownNumber(density.result)
  const od = value === null ? null : densityToAskFor(value, density?.doubt?.expanded ?? 0).toFixed(1)
  const cautions = CAUTIONS(od, wavelength?.typed ?? '')
  const taken = useSession((it) => it.cautionsTicked)
  const { pathname } = useLocation()
  const all = od !== null && cautions.every(({ id }) => taken.includes(id))
  return (
    <Over title="Before the beam is on" className="w-[40rem] p-5" close={() => endCautions(false)}>
      <p className="mt-1 text-second">
        This program burns. A class 4 beam blinds, directly and thrown back, and sets things alight. Look at each of these at the
        machine, then tick it.
      </p>
      <ul className="m-0 mt-3 list-none p-0">
        {cautions.map(({ id, head, words }) => (
          <li key={id} className="border-b border-rule">
            <label className="flex min-h-11 cursor-pointer gap-3 py-2">
              <input
                type="checkbox"
                className="mt-1 h-4 w-4 shrink-0 accent-[var(--teal)]"
                checked={taken.includes(id)}
                onChange={() => tickCaution(id)}
              />
              <span>
                <strong className="font-[650]">{head}</strong> {words}
              </span>
            </label>
          </li>
        ))}
      </ul>
      {od === null && (
        <p role="alert" className="mt-3">
          The eyewear that is needed is not known, so no program leaves.{' '}
          <span onClickCapture={() => leaveCautions(pathname)}>
            <FactLink path="optics.power">Enter the optical power and the wavelength of the diode.</FactLink>
          </span>{' '}
          What is ticked stays, and a line at the top leads back here.
        </p>
      )}
      <p className="mt-3 text-[13px] text-second">
        Local rules, certified eyewear and licensed practice come first. These checks call nothing safe. They are asked for once
        until this page is opened again.
      </p>
      <div className="mt-4 flex gap-2">
        <button type="button" className="button button-first" disabled={!all} onClick={() => endCautions(true)}>
          I have checked all of these
        </button>
        <button type="button" className="button" onClick={() => endCautions(false)}>
          Not now
        </button>
      </div>
    </Over>
  )
}

function CAUTIONS(
  od: string | null,
  wavelength: string,
): readonly { readonly id: string; readonly head: string; readonly words: ReactNode }[] {
  const eyewear =
    od === null
      ? 'How dense it must be is not known yet.'
      : `Certified for ${wavelength} nm with an optical density of at least ${od}, to watch the burn for 100 s (IEC 60825-1; eyewear after EN 207), on everyone who can see the beam. No loupe, no lens.`
  return [
    { id: 'eyewear', head: 'Eyewear is on.', words: eyewear },
    {
      id: 'path',
      head: 'The beam’s path is covered.',
      words:
        'Guard or housing closed; nothing bright or glossy on the bed; the interlock cuts the diode’s supply, and was tried today (IEC 60825-1, clause 6).',
    },
    { id: 'air', head: 'The exhaust runs.', words: 'It leads outdoors, and fresh air comes in.' },
    {
      id: 'material',
      head: 'The material is known.',
      words:
        'Never PVC or vinyl, ABS, polycarbonate, foams, fluoropolymers, chrome leather, treated wood, bright metal, nor anything unknown.',
    },
    {
      id: 'fire',
      head: 'The fire watch stands.',
      words:
        'Crumb tray empty, CO₂ or water mist extinguisher at hand; I stay while it burns and 30 min after (hot-work practice; NFPA 51B asks for 60).',
    },
    {
      id: 'stop',
      head: 'I know the machine’s own stop.',
      words: 'A button on this page is no emergency stop: it needs link and software to work.',
    },
  ]
}
