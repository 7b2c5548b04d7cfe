import { useMemo } from 'react'
import { useBenchStore, useChainState } from '../../state'
import { sayFault, shownChain } from './chainState'
import { Drawing } from './WiringPlate'

/** The wiring in one state of its contacts: what has power, what is closed, whether the head can be on. */
export function ChainPlate() {
  const bench = useBenchStore((it) => it.bench)
  const state = useChainState()
  const chain = useMemo(() => (bench === null ? null : shownChain(bench, state)), [bench, state])
  if (bench === null || chain === null) return null
  const { blocks } = bench.electrical
  const moved = state.moved.flatMap((id) => blocks[id]?.name ?? [])
  const words = [
    moved.length === 0 ? 'Nothing is moved' : `Moved: ${moved.join(', ')}`,
    state.told ? 'the controller says on' : 'the controller says off',
    ...(state.fault === null ? [] : [`fault: ${sayFault(bench, state.fault)}`]),
    ...Object.entries(blocks).flatMap(([id, { kind, name }]) =>
      kind === 'head' ? [`${name} ${chain.block(id).isOn ? 'can be on' : 'is dark'}`] : [],
    ),
  ]
  return (
    <>
      <Drawing
        bench={bench}
        chain={chain}
        empty={
          <p className="my-8 max-w-[40rem] text-second">
            Draw the wiring first, with its emergency stop, key and lid contact: then every state of them is worked here.
          </p>
        }
      />
      {Object.keys(blocks).length > 0 && (
        <p className="mt-1 text-[13px] text-second" role="status">
          {words.join('; ')}.
        </p>
      )}
    </>
  )
}
