import { Suspense, useEffect, useRef, useState } from 'react'
import { Navigate, useLocation, useNavigate, useParams } from 'react-router'
import type { Finding } from '../core/units'
import { loadLateSlices, placeOf } from '../core/document'
import { STAGES, stageOf } from '../screens/stages'
import {
  addressOf,
  addressOfFact,
  checkOpen,
  connectDemo,
  isOnNameplate,
  loadDomains,
  openBench,
  NEXT,
  revealFact,
  useBenchStore,
  useSession,
  isDone,
  reasonOf,
} from '../state'
import { Boundary, fetchLater, later } from '../ui'
import { Crash } from './Crash'
import { FootLine } from './FootLine'
import { Nameplate } from './Nameplate'
import { notify } from './notify'
import { sheetsOf, StagePage } from './StagePage'
import { StageRoute } from './StageRoute'

const SaveNotice = later(async () => (await import('./SaveNotice')).SaveNotice)
const BackToBurn = later(async () => (await import('./BackToBurn')).BackToBurn)
const Next = later(async () => (await import('../screens/next/Next')).Next)
const CannotOpen = later(async () => (await import('./CannotOpen')).CannotOpen)

/** An open bench: nameplate above, route at the left, the stage's sheet, the foot line. */
export function BenchPage() {
  const { benchId = '', stage, part } = useParams()
  const found = stageOf(stage)
  const opened = useOpened(benchId)
  const [drawn, setDrawn] = useState(false)
  useIdleWork(opened.kind === 'open' && drawn)
  useLinkedFact(benchId, opened.kind === 'open')
  const shown = useRef<string | null>(null)
  useEffect(() => {
    const name = stage === NEXT ? 'What to do next' : found?.name
    document.title = name === undefined ? 'Fine Kerf' : `${name} · Fine Kerf`
  }, [found, stage])
  if (stage === undefined) return <Navigate to={addressOf(benchId, 'motion')} replace />
  if (opened.kind === 'refused') return <CannotOpen id={benchId} findings={opened.findings} />
  if (opened.kind === 'opening') return <p className="p-8 text-second">Opening the bench …</p>
  return (
    <div className="sheet grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_minmax(0,1fr)_auto] md:grid-cols-[132px_minmax(0,1fr)] md:grid-rows-[auto_minmax(0,1fr)_auto]">
      <a
        href="#sheet"
        className="button button-first no-print absolute left-2 top-2 z-50 -translate-y-20 focus:translate-y-0"
        onClick={(event) => {
          event.preventDefault()
          focusSheet()
        }}
      >
        To the sheet
      </a>
      <Nameplate />
      <StageRoute benchId={benchId} current={stage} />
      <main className="sheet min-h-0 min-w-0 overflow-y-auto" id="sheet">
        <Unsaved />
        <Waiting />
        <Boundary key={stage} of={part} fallback={(message) => <Crash message={message} />}>
          <Suspense fallback={<p className="p-8 text-second">Loading the sheet …</p>}>
            {stage === NEXT ? (
              <Next />
            ) : found === undefined ? (
              <NoStage benchId={benchId} name={stage} />
            ) : (
              <StagePage benchId={benchId} stage={found} part={part} />
            )}
            <Drawn key={part ?? ''} stage={stage} shownRef={shown} tell={setDrawn} />
          </Suspense>
        </Boundary>
      </main>
      <FootLine />
    </div>
  )
}

/** Puts the focus on the heading of the sheet, so that the next Tab is its first part. */
function focusSheet(): void {
  const heading = document.querySelector<HTMLElement>('main h1')
  if (heading === null) return
  heading.tabIndex = -1
  heading.focus({ preventScroll: true })
}

/** What is to be said of saving, where there is something. */
function Unsaved() {
  const isSaid = useBenchStore(({ save, leftAs }) => leftAs !== null || (save.kind !== 'saved' && save.kind !== 'saving'))
  return isSaid ? <SaveNotice /> : null
}

/** The way back to a burn, where one waits. */
function Waiting() {
  return useSession((it) => it.burnFrom) === null ? null : <BackToBurn />
}

/**
 * Stands beside a sheet and so appears with it: what is not needed for the first picture loads after that. A change of
 * stage is heard, and the keyboard goes on from its heading; the first sheet leaves the focus where it is.
 */
function Drawn(props: {
  readonly stage: string
  readonly shownRef: { current: string | null }
  readonly tell: (drawn: boolean) => void
}) {
  const { stage, shownRef, tell } = props
  useEffect(() => {
    tell(true)
    if (document.querySelector('main h1') === null) return
    // An editor that a link opened keeps the focus.
    const isTaken = document.querySelector('[role="dialog"]') !== null
    if (shownRef.current !== null && shownRef.current !== stage && !isTaken) focusSheet()
    shownRef.current = stage
  }, [stage, shownRef, tell])
  return null
}

type Opened = { readonly kind: 'opening' | 'open' } | { readonly kind: 'refused'; readonly findings: readonly Finding[] }

function useOpened(benchId: string): Opened {
  const open = useBenchStore((it) => it.bench?.id === benchId)
  const [refused, setRefused] = useState<{ readonly id: string; readonly findings: readonly Finding[] } | null>(null)
  useEffect(() => {
    if (useBenchStore.getState().bench?.id === benchId) return
    let here = true
    void openBench(benchId).then((findings) => here && findings.length > 0 && setRefused({ id: benchId, findings }))
    return () => {
      here = false
    }
  }, [benchId])
  const damaged = useBenchStore((it) => it.refused)
  if (open) return { kind: 'open' }
  if (damaged?.id === benchId) return { kind: 'refused', findings: damaged.findings }
  return refused?.id === benchId ? { kind: 'refused', findings: refused.findings } : { kind: 'opening' }
}

/** An address that ends in `#path` of a fact opens that fact. */
function useLinkedFact(benchId: string, open: boolean): void {
  const { hash } = useLocation()
  const go = useNavigate()
  useEffect(() => {
    if (!open || hash.length <= 1) return
    let path: string
    try {
      path = decodeURIComponent(hash.slice(1))
    } catch {
      notify(
        `The end of this address, “${hash.slice(0, 40)}”, is broken: a % in it stands for nothing. The bench itself is open.`,
      )
      return
    }
    const lead = (): void => {
      if (placeOf(path) !== null && !isOnNameplate(path))
        void go({ pathname: addressOfFact(benchId, path), hash }, { replace: true })
      revealFact(path)
    }
    if (placeOf(path) === null) loadLateSlices().then(lead, lead)
    else lead()
  }, [benchId, open, hash, go])
}

/** Rest after the first picture before anything else is loaded, ms. */
const REST = 500

/** Stages that are not open load, and are worked, when the browser has nothing else to do. */
function useIdleWork(open: boolean): void {
  useEffect(() => {
    if (!open) return
    const work = (): void => {
      void fetchLater()
      // What cannot be fetched is said where it is drawn.
      for (const stage of STAGES) sheetsOf(stage).catch(() => undefined)
      void checkOpen()
        .then((back) => isDone(back) || notify(reasonOf(back)))
        .catch(() => undefined)
      loadDomains()
        .then(() => useBenchStore.setState({ worked: true }))
        .catch(() => undefined)
      void connectDemo()
    }
    let idle: number | undefined
    const timer = setTimeout(() => {
      if (typeof requestIdleCallback === 'undefined') work()
      else idle = requestIdleCallback(work, { timeout: 2000 })
    }, REST)
    return () => {
      clearTimeout(timer)
      if (idle !== undefined) cancelIdleCallback(idle)
    }
  }, [open])
}

function NoStage({ benchId, name }: { readonly benchId: string; readonly name: string }) {
  return (
    <div className="p-8">
      <h1 className="text-[22px] font-[680]">There is no stage called “{name}”</h1>
      <p className="mt-2">
        Take one from the route at the edge, or go to{' '}
        <a className="link" href={addressOf(benchId, 'motion')}>
          Motion
        </a>
        .
      </p>
    </div>
  )
}
