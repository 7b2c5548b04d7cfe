import { useEffect } from 'react'
import { useBlocker, useLocation } from 'react-router'
import { askBeforeLeaving, useMachine, whyStay } from '../state'
import { later } from '../ui'

const AskToLeave = later(async () => (await import('./AskToLeave')).AskToLeave)
const BeamBar = later(async () => (await import('./BeamBar')).BeamBar)

/** Asks before a bench is left whose beam may be on, or that is not saved; keeps the stop in sight on every page. */
export function LeaveGuard() {
  const { pathname } = useLocation()
  const { beam, stop } = useMachine()
  const blocker = useBlocker(({ currentLocation, nextLocation }) => {
    const left = benchOf(currentLocation.pathname)
    return left !== '' && left !== benchOf(nextLocation.pathname) && whyStay() !== null
  })
  useEffect(askBeforeLeaving, [])
  const barred = stop === 'not confirmed' || (beam !== 'off' && benchOf(pathname) === '')
  return (
    <>
      {barred && <BeamBar />}
      {blocker.state === 'blocked' && <AskToLeave stay={() => blocker.reset()} leave={() => blocker.proceed()} />}
    </>
  )
}

/** The bench that a page is about; empty for the others. */
function benchOf(pathname: string): string {
  return /^\/bench\/([^/]+)/.exec(pathname)?.[1] ?? ''
}
