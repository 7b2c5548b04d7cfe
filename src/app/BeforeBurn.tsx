import { useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { cautionsAnew, endCautions, harmOf, keepRound, leaveCautions, tickCaution, useRound, useSession } from '../state'
import { FactLink } from '../ui'
import { OpenOf } from '../ui/OpenOf'
import { Over } from './Over'

/** Letters of a reason that is one. */
const LEAST_WHY = 10

/** The round before a program that turns the beam on leaves, as this bench asks for it: asked for once a session. */
export function BeforeBurn() {
  const looks = useRound()
  const steps = looks.filter((it) => it.when === 'before')
  const taken = useSession((it) => it.cautionsTicked)
  const { pathname } = useLocation()
  const isKnown = steps.some((it) => it.id === 'eyewear' && !('path' in it.at && it.at.path === 'optics.power'))
  const harm = harmOf(looks)
  const [why, setWhy] = useState('')
  const isTakenOn = harm.length === 0 || why.trim().length >= LEAST_WHY
  const all = isKnown && isTakenOn && steps.every(({ id }) => taken.includes(id))
  return (
    <Over title="Before the beam is on" className="w-[42rem] p-5" close={() => endCautions(false)}>
      <p className="mt-1 text-second">
        This program burns. A class 4 beam blinds, directly and thrown back, and sets things alight. Look at each of these at the
        machine, then tick it.
      </p>
      <ul className="m-0 mt-3 list-none p-0">
        {steps.map((step) => (
          <li key={step.id} className="border-b border-rule">
            <label className="flex min-h-11 cursor-pointer gap-3 py-2">
              <input
                type="checkbox"
                className="mt-1 h-4 w-4 shrink-0 accent-[var(--teal)]"
                checked={taken.includes(step.id)}
                onChange={() => tickCaution(step.id)}
              />
              <span>
                <strong className="font-[650]">{step.head}</strong> {step.words}
              </span>
            </label>
            <OpenOf look={step} leave={() => leaveCautions(pathname)} />
          </li>
        ))}
      </ul>
      {!isKnown && (
        <p role="alert" className="mt-3">
          The eyewear that is needed is not known, so no program leaves.{' '}
          <span onClick={() => leaveCautions(pathname)}>
            <FactLink path="optics.power">Enter the optical power and the wavelength of the diode.</FactLink>
          </span>{' '}
          What is ticked stays, and a line at the top leads back here.
        </p>
      )}
      {harm.length > 0 && (
        <div role="alert" className="mt-3">
          <p>
            A stop stands against {harm.length === 1 ? 'this step' : 'these steps'}:{' '}
            <strong className="font-[650]">{harm.map((it) => it.head).join(' ')}</strong> No program leaves until it is mended. If
            you take it on all the same, write why; it is kept with the round.
          </p>
          <label className="mt-1 block text-[12px] text-second" htmlFor="taken-on">
            Why it is burnt against a stop
          </label>
          <textarea
            id="taken-on"
            className="input w-full text-[13.5px]"
            rows={2}
            maxLength={300}
            value={why}
            onChange={(event) => setWhy(event.target.value)}
          />
        </div>
      )}
      <p className="mt-3 text-[13px] text-second">
        Local rules, certified eyewear and licensed practice come first. These checks call nothing safe. They are asked for once
        until this page is opened again, or until another stop of harm comes.
      </p>
      <div className="mt-4 flex gap-2">
        <button
          type="button"
          className="button button-first"
          disabled={!all}
          onClick={() => {
            void keepRound(looks, why)
            endCautions(
              true,
              harm.map((it) => it.id),
            )
          }}
        >
          I have checked all of these
        </button>
        <button type="button" className="button" onClick={() => endCautions(false)}>
          Not now
        </button>
      </div>
    </Over>
  )
}

/** While the cautions are taken: a stop of harm that comes after them, and that nobody took on, has them asked for again. */
export function HarmWatch() {
  const harm = harmOf(useRound())
  const takenOn = useSession((it) => it.harmTaken)
  const isNew = harm.some((it) => !takenOn.includes(it.id))
  useEffect(() => {
    if (isNew) cautionsAnew()
  }, [isNew])
  return null
}
