import { useState } from 'react'
import { holderDxf, holderSvg, layHolders, type HolderSheet, type WantedPieces } from '../../core/document'
import { DONE, holdersToWork, isDone, useBenchStore, type Told } from '../../state'
import { download, Findings, StageLink } from '../../ui'
import { HolderSheetDrawing } from './HolderSheetDrawing'

/** Sheets with what is wanted on them, and what stands in the way; out as files, or onto the work order. */
export function HolderSheets(props: {
  readonly title: string
  readonly name: string
  readonly wanted: WantedPieces
  readonly empty: string
}) {
  const { title, name, wanted, empty } = props
  const make = useBenchStore(({ bench }) => bench?.rotary.make)
  const [said, say] = useState<Told>(DONE)
  const [isLaid, setLaid] = useState(false)
  const { sheets, findings } = layHolders(wanted.pieces, make?.sheetWidth.value ?? 300, make?.sheetHeight.value ?? 200)
  const lay = (sheet: HolderSheet): void =>
    void holdersToWork(sheet, name).then((told) => {
      say(told)
      setLaid(isDone(told) || told.every((it) => it.severity !== 'error'))
    })
  return (
    <div className="my-2" data-plate={title}>
      {sheets.length === 0 && wanted.findings.length + findings.length === 0 && (
        <p className="my-6 max-w-[40rem] text-second">{empty}</p>
      )}
      {sheets.map((sheet, k) => (
        <figure key={k} className="keep-together mx-0 mt-1 mb-3">
          <HolderSheetDrawing
            sheet={sheet}
            title={sheets.length === 1 ? title : `${title}, sheet ${k + 1} of ${sheets.length}`}
          />
          <figcaption className="flex flex-wrap items-center gap-2 pt-1 text-[13px] text-second">
            <span>
              Sheet{' '}
              <span className="num">
                {sheet.width} × {sheet.height} mm
              </span>
              , {sheet.parts.length} {sheet.parts.length === 1 ? 'part' : 'parts'}, kerf counted
            </span>
            <span className="no-print ml-auto flex flex-wrap gap-2">
              <button
                type="button"
                className="button"
                onClick={() => save(`${name}-${k + 1}.svg`, holderSvg(sheet), 'image/svg+xml')}
              >
                Save as SVG
              </button>
              <button
                type="button"
                className="button"
                onClick={() => save(`${name}-${k + 1}.dxf`, holderDxf(sheet), 'image/vnd.dxf')}
              >
                Save as DXF
              </button>
              <button type="button" className="button" onClick={() => lay(sheet)}>
                Lay it on the work order
              </button>
            </span>
          </figcaption>
        </figure>
      ))}
      <Findings findings={[...wanted.findings, ...findings, ...said]} />
      {isLaid && (
        <p className="text-[13px]" role="status">
          It lies on the work order, kerf counted already: cut it on the line.{' '}
          <StageLink stage="work" part="order">
            See the work order
          </StageLink>
        </p>
      )}
    </div>
  )
}

function save(name: string, text: string, type: string): void {
  download(name, new TextEncoder().encode(text), type)
}
