import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

/** A sheet laid over the page, closed by Escape or a press beside it. */
export function Over(props: {
  readonly title: string
  readonly hideTitle?: boolean
  readonly className: string
  readonly close: () => void
  readonly children: ReactNode
}) {
  const { title, hideTitle = false, className, close, children } = props
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[color-mix(in_srgb,var(--ink)_30%,transparent)]" />
        <Dialog.Content
          className={`overlay fixed left-1/2 top-[10vh] z-50 max-h-[80vh] max-w-[94vw] -translate-x-1/2 overflow-y-auto ${className}`}
          aria-describedby={undefined}
        >
          <Dialog.Title className={hideTitle ? 'sr-only' : 'text-[17px] font-[680]'}>{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
