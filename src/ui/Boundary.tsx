import { Component, type ReactNode } from 'react'

interface Props {
  readonly children: ReactNode
  /** What the children show: when it changes they are tried again. */
  readonly of?: string | undefined
  /** What stands there instead, given the message and how to try again. */
  readonly fallback: (message: string, again: () => void) => ReactNode
}

/** Catches what a part of the page throws while drawing, so that the rest stays. */
export class Boundary extends Component<Props, { readonly message: string | null }> {
  override state: { readonly message: string | null } = { message: null }

  static getDerivedStateFromError(error: unknown) {
    return { message: error instanceof Error ? error.message : String(error) }
  }

  override componentDidUpdate(before: Props) {
    if (before.of !== this.props.of) this.setState({ message: null })
  }

  override render(): ReactNode {
    const { message } = this.state
    return message === null ? this.props.children : this.props.fallback(message, () => this.setState({ message: null }))
  }
}
