import * as Comlink from 'comlink'
import { judge, measureNext, type Advice } from '../core/bench'
import { benchFactSpec, DOMAINS, engineFor, type Bench } from '../core/document'

/** Works out what to measure so that a verdict is known, away from the page: each measurement is tried on a copy of the bench. */
export interface AdviceWorker {
  /** @param text The bench, as JSON. @param now ms since 1970. @returns Null where there is no such verdict. */
  advise(text: string, verdictId: string, args: readonly string[], now: number): Advice | null
}

const api: AdviceWorker = {
  advise(text, verdictId, args, now) {
    const engine = engineFor(JSON.parse(text) as Bench)
    engine.setNow(now)
    const def = DOMAINS.flatMap((it) => it.verdicts).find((it) => it.id === verdictId)
    return def === undefined ? null : measureNext(engine, judge(engine, def, [...args]), benchFactSpec)
  },
}

Comlink.expose(api)
