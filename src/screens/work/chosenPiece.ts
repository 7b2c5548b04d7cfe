import { create } from 'zustand'

interface Chosen {
  readonly piece: string | null
  readonly at: number | null
  /** Whether all places that are too dark are ringed; null: where they are few. */
  readonly ringed: boolean | null
}

const useChosen = create<Chosen>()(() => ({ piece: null, at: null, ringed: null }))

/** The piece that is brought out, between plate and what is given. */
export function useChosenPiece(): string | null {
  return useChosen((it) => it.piece)
}

/** Brings a piece out. */
export function choosePiece(piece: string | null): void {
  useChosen.setState({ piece })
}

/** The moment of the burn that is looked at, s; null: its end. */
export function useMoment(): number | null {
  return useChosen((it) => it.at)
}

/** Looks at a moment of the burn. */
export function lookAtMoment(at: number | null): void {
  useChosen.setState({ at })
}

/** More dark places than this are ringed only when asked for. */
const FEW = 40

/** Whether places that are too dark are ringed on the plate. */
export function useRinged(count: number): boolean {
  return useChosen((it) => it.ringed) ?? count <= FEW
}

/** Rings places that are too dark, or leaves them. */
export function ringDark(ringed: boolean): void {
  useChosen.setState({ ringed })
}
