import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { StageId } from '../core/document'
import { addressOf, useBenchStore } from '../state'

/** Words that lead to a stage, or to a part of it. */
export function StageLink(props: { readonly stage: StageId; readonly part?: string; readonly children: ReactNode }) {
  const { stage, part, children } = props
  const id = useBenchStore((it) => it.bench?.id ?? '')
  return (
    <Link className="link" to={addressOf(id, stage, part)}>
      {children}
    </Link>
  )
}
