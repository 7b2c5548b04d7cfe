import { templateOf, type BenchRecord, type Fact } from '../core/bench'
import { pieceShape, wayShape, type Piece, type Way, type WaySummary } from '../core/work'
import type { FileRow } from './database'

/** Artwork of a demo: its file, and the record under which it is kept. */
export interface DemoFile {
  readonly id: string
  readonly name: string
  readonly type: string
  readonly at: string
  readonly bytes: Uint8Array
}

/** The record and the file of a demo's artwork. */
export function artworkOf(
  benchId: string,
  { id, name, type, at, bytes }: DemoFile,
): { readonly record: BenchRecord; readonly file: FileRow } {
  const recordId = `${benchId}-${id}`
  return {
    record: {
      id: recordId,
      benchId,
      stage: 'work',
      at,
      title: `Artwork taken in: ${name}`,
      note: '',
      redo: `Take it in again: ${name}.`,
      read: [],
      gave: [],
      beneath: [],
    },
    file: { id: `${recordId}-file`, benchId, recordId, name, type, bytes },
  }
}

/** A way of a piece. @param drawn What the reader of its file says of it. */
export function demoWay(order: number, drawn: WaySummary, done: Partial<Way>): Way {
  return templateOf(wayShape, { ...drawn, order, ...done })
}

/** A piece of a demo's order. */
export function demoPiece(
  piece: Pick<Piece, 'order' | 'name' | 'record' | 'print' | 'kind' | 'width' | 'height' | 'ways'> & Partial<Piece>,
): Piece {
  return templateOf(pieceShape, piece)
}

/** A length by the rule or the calipers, mm. */
export function measuredMm(typed: string, by: string, u: number, at: string): Fact {
  return { value: Number(typed), typed, typedUnit: 'mm', origin: 'measured', doubt: { kind: 'standard', u }, instrument: by, at }
}
