import type { ComponentType } from 'react'
import type { Bench } from '../../core/document'
import { useBenchStore } from '../../state'
import { Side } from '../../ui'

/** What is worked and judged beside a part of Motion. */
export function sideOf(Worked: ComponentType<{ readonly bench: Bench }>): ComponentType {
  return function MotionSide() {
    const bench = useBenchStore((it) => it.bench)
    return (
      <Side stage="motion" records={['motion', 'controller']}>
        {bench !== null && <Worked bench={bench} />}
      </Side>
    )
  }
}
