import { useEffect, useMemo, useState } from 'react'
import { stationAsk, type Bench, type StationAsk } from '../core/document'
import type { Outcome } from '../core/units'
import { refused } from '../core/units'
import { workWorker } from './workFiles'

/** The program of an order at the stations of a plate, as far as it is written. */
export interface StationProgram {
  readonly ask: Outcome<StationAsk>
  /** Null while it is being written. */
  readonly text: Outcome<string> | null
}

/** Keeps the order's program at the chosen stations of a bench; written in the worker, for it is as long as all of them. @param piece Null while the order is not planned. */
export function useStationProgram(bench: Bench, piece: string | null): StationProgram {
  const { rotary, electrical, output } = bench
  const ask = useMemo(() => stationAsk({ rotary, electrical, output } as Bench), [rotary, electrical, output])
  const [written, setWritten] = useState<{ readonly ask: object; readonly piece: string; readonly text: Outcome<string> } | null>(
    null,
  )
  useEffect(() => {
    if (piece === null || !ask.ok) return undefined
    let isWanted = true
    void workWorker()
      .stations(piece, ask.value)
      .catch((): Outcome<string> =>
        refused('unwritten', 'The stations could not be written: the memory of this browser may be full. Choose fewer.'),
      )
      .then((text) => isWanted && setWritten({ ask, piece, text }))
    return () => {
      isWanted = false
    }
  }, [ask, piece])
  return { ask, text: written?.ask === ask && written.piece === piece ? written.text : null }
}
