import { outlinePath } from '../../core/artwork'
import type { HolderSheet } from '../../core/document'

/** A sheet as it will be cut, to scale: cuts and marks are where the beam goes. */
export function HolderSheetDrawing({ sheet, title }: { readonly sheet: HolderSheet; readonly title: string }) {
  const edge = Math.max(sheet.width, sheet.height) / 160
  return (
    <svg
      viewBox={`${-edge} ${-edge} ${sheet.width + 2 * edge} ${sheet.height + 2 * edge}`}
      className="plate max-h-[58vh] w-full print:max-h-[340px]"
      role="img"
      aria-label={title}
    >
      <rect width={sheet.width} height={sheet.height} fill="none" stroke="var(--ink)" strokeWidth={edge * 0.5} />
      <g fill="none" stroke="var(--ember)" strokeWidth={edge * 0.45}>
        {sheet.cut.map((it, k) => (
          <path key={k} d={outlinePath(it, sheet.height)} />
        ))}
      </g>
      <g fill="none" stroke="var(--ember)" strokeWidth={edge * 0.3} strokeLinecap="round">
        {sheet.mark.map((it, k) => (
          <path key={k} d={outlinePath(it, sheet.height)} />
        ))}
      </g>
    </svg>
  )
}
