import { useEffect } from 'react'
import { useLocation } from 'react-router'
import { askBeforeLeaving, useMachine, whyStay } from '../state'
import { later } from '../ui'
import { guardLeaving, useNavigation } from './navigation'

const AskToLeave = later(async () => (await import('./AskToLeave')).AskToLeave)
const BeamBar = later(async () => (await import('./BeamBar')).BeamBar)

/** Asks before a bench is left whose beam may be on, or that is not saved; keeps the stop in sight on every page. */
export function LeaveGuard() {
  const { pathname } = useLocation()
  const { beam, stop } = useMachine()
  const barred = useNavigation((it) => it.barred)
  useEffect(askBeforeLeaving, [])
  useEffect(() => guardLeaving(isAskedFor), [])
  const inSight = stop === 'not confirmed' || (beam !== 'off' && benchOf(pathname) === '')
  return (
    <>
      {inSight && <BeamBar />}
      {barred !== null && <AskToLeave stay={barred.stay} leave={barred.pass} />}
    </>
  )
}

/** Whether a bench is left for something else while something is in the way. */
function isAskedFor(from: string, to: string): boolean {
  const left = benchOf(from)
  return left !== '' && left !== benchOf(to) && whyStay() !== null
}

/** The bench that a page is about; empty for the others. */
function benchOf(pathname: string): string {
  return /^\/bench\/([^/]+)/.exec(pathname)?.[1] ?? ''
}
