import type { Outline, Segment, Point } from '../../core/artwork'
import type { HolderSheet } from '../../core/document'

const say = (value: number): string => value.toFixed(2)

/** An outline as a path, y upwards from the lower edge of a sheet. */
function pathOf({ start, segments, isClosed }: Outline, height: number): string {
  const at = ({ x, y }: Point): string => `${say(x)} ${say(height - y)}`
  const way = (it: Segment): string => {
    if (it.kind === 'line') return `L${at(it.to)}`
    if (it.kind === 'cubic') return `C${at(it.first)} ${at(it.second)} ${at(it.to)}`
    const r = Math.hypot(it.u.x, it.u.y)
    const place = (t: number): Point => ({
      x: it.centre.x + it.u.x * Math.cos(t) + it.v.x * Math.sin(t),
      y: it.centre.y + it.u.y * Math.cos(t) + it.v.y * Math.sin(t),
    })
    return [0.5, 1]
      .map((share) => `A${say(r)} ${say(r)} 0 0 ${it.sweep > 0 ? 0 : 1} ${at(place(it.start + it.sweep * share))}`)
      .join('')
  }
  return `M${at(start)}${segments.map(way).join('')}${isClosed ? 'Z' : ''}`
}

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
          <path key={k} d={pathOf(it, sheet.height)} />
        ))}
      </g>
      <g fill="none" stroke="var(--ember)" strokeWidth={edge * 0.3} strokeLinecap="round">
        {sheet.mark.map((it, k) => (
          <path key={k} d={pathOf(it, sheet.height)} />
        ))}
      </g>
    </svg>
  )
}
