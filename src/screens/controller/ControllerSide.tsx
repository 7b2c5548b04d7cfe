import type { ReactNode } from 'react'
import { useMachine } from '../../state'
import { Side } from '../../ui'
import { LinkPanel } from './LinkPanel'

/** What stands beside every part of Controller: the link, what is worked, what is judged. */
export function ControllerSide({ children, part }: { readonly children: ReactNode; readonly part?: string }) {
  const isLinked = useMachine((it) => it.link !== 'none')
  // Without a link the list is pasted; the stand-in is there to practise on, below.
  return (
    <>
      {isLinked && <LinkPanel />}
      <Side stage="controller" {...(part === undefined ? {} : { part })}>
        {children}
      </Side>
      {!isLinked && (
        <div className="mt-5">
          <LinkPanel />
        </div>
      )}
    </>
  )
}
