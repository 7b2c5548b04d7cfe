import { Popover } from 'radix-ui'
import type { ReactNode, RefObject } from 'react'

/**
 * What opens at a button: a sheet beside it, closed by Escape or a press elsewhere, which gives the focus back. Loaded
 * when the first one opens.
 */
export function PopoverAt(props: {
  readonly anchor: RefObject<HTMLElement | null>
  readonly label: string
  readonly className: string
  readonly align?: 'start' | 'center'
  readonly sideOffset?: number
  readonly close: () => void
  /** Whether a press elsewhere leaves it open. */
  readonly holds?: (target: EventTarget | null) => boolean
  readonly children: ReactNode
}) {
  const { anchor, label, className, align = 'center', sideOffset = 6, close, holds, children } = props
  return (
    <Popover.Root open onOpenChange={(open) => !open && close()}>
      <Popover.Anchor virtualRef={anchor} />
      <Popover.Portal>
        <Popover.Content
          align={align}
          sideOffset={sideOffset}
          collisionPadding={12}
          className={`overlay no-print ${className}`}
          aria-label={label}
          onCloseAutoFocus={(event) => {
            event.preventDefault()
            anchor.current?.focus()
          }}
          onInteractOutside={(event) => {
            // The button itself closes what it opened; pressing it is no press elsewhere.
            const onAnchor = event.target instanceof Node && anchor.current?.contains(event.target) === true
            if (onAnchor || holds?.(event.target) === true) event.preventDefault()
          }}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
