import * as Comlink from 'comlink'
import { useEffect, useState } from 'react'
import type { Advice, Verdict } from '../core/bench'
import type { Bench } from '../core/document'
import type { AdviceWorker } from '../workers/advice.worker'

let at: Comlink.Remote<AdviceWorker> | null = null

function remote(): Comlink.Remote<AdviceWorker> {
  at ??= Comlink.wrap<AdviceWorker>(new Worker(new URL('../workers/advice.worker.ts', import.meta.url), { type: 'module' }))
  return at
}

/** The last that was asked, so that one thing is worked at a time, and what nobody waits for any more is not begun. */
let before: Promise<unknown> = Promise.resolve()

function adviceOf({ def, args }: Verdict, bench: Bench, isWanted: () => boolean): Promise<Advice | null> {
  const work = async (): Promise<Advice | null> => {
    await before
    return isWanted() ? await remote().advise(JSON.stringify(bench), def.id, args, Date.now()) : null
  }
  const mine = work()
  before = mine.catch(() => undefined)
  return mine
}

/**
 * What to measure so that a straddling verdict is decided (T14), worked in a worker.
 * @returns Null while it is not known; `none` where it could not be worked out.
 */
export function useAdvice(verdict: Verdict, bench: Bench): Advice | null {
  const [known, setKnown] = useState<{ readonly of: Verdict; readonly advice: Advice } | null>(null)
  useEffect(() => {
    let isWanted = true
    const nothing: Advice = { kind: 'none', ranking: [] }
    void adviceOf(verdict, bench, () => isWanted)
      .catch(() => nothing)
      .then((advice) => isWanted && setKnown({ of: verdict, advice: advice ?? nothing }))
    return () => {
      isWanted = false
    }
  }, [verdict, bench])
  return known?.of === verdict ? known.advice : null
}
