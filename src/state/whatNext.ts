import { useEffect, useMemo, useState } from 'react'
import { whatNext, type Beginnable, type Bench, type Todo } from '../core/document'
import { sayMinutes } from '../core/schedule'
import { useBenchStore } from './benchStore'
import { loadDomains } from './domains'
import { engineOf } from './evaluate'
import { useComparedBench, useConsequences, useVerdicts } from './judging'
import { planNow, useNow } from './plan'
import { DONE, told, type Told } from './told'

/** What to do next over the whole open bench, null until every stage has been judged; and why that could not be. */
export function useWhatNext(): { readonly todos: readonly Todo[] | null; readonly said: Told } {
  const bench = useComparedBench()
  const verdicts = useVerdicts()
  const consequences = useConsequences()
  const worked = useBenchStore((it) => it.worked)
  const now = useNow()
  const [said, say] = useState(DONE)
  useEffect(() => {
    // Whoever asks what to do next does not wait until the browser has nothing else to do.
    loadDomains().then(
      () => useBenchStore.setState({ worked: true }),
      () => say(told(NOT_HERE, 'not-fetched')),
    )
  }, [])
  const todos = useMemo(() => {
    if (bench === null || !worked) return null
    const seen = { verdicts, consequences, tasks: beginnable(bench, now), today: now.slice(0, 10) }
    return whatNext(engineOf(bench), seen, bench.units)
  }, [bench, verdicts, consequences, worked, now])
  return { todos, said }
}

const NOT_HERE =
  'What judges the other stages could not be fetched. What you entered is kept; see that Fine Kerf’s own server runs, then load the page again.'

/** Tasks that can be begun at this moment, in the plan's order. */
function beginnable(bench: Bench, now: string): readonly Beginnable[] {
  const { hindrances, quietInMin } = planNow(bench, now)
  return Object.entries(bench.plan.tasks)
    .filter(([id, it]) => it.done === '' && (hindrances.get(id) ?? []).length === 0)
    .sort(([, p], [, q]) => p.order - q.order)
    .map(([, { name, workMin, noisy }]) => {
      const quiet = noisy && quietInMin < workMin ? `, but quiet hours begin in ${sayMinutes(quietInMin)}` : ''
      return { name, words: `it can be begun now and takes ${sayMinutes(workMin)}${quiet}` }
    })
}
