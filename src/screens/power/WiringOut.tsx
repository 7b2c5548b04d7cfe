import { useState } from 'react'
import { DONE, reasonOf, told, useBenchStore, wiringToCsv, type Told } from '../../state'
import { download, drawingAsPng, drawingAsSvg, Findings } from '../../ui'

/** The wiring on its way out: the drawing as SVG and PNG, the list as CSV, both on paper. */
export function WiringOut() {
  const [said, say] = useState<Told>(DONE)
  const some = useBenchStore(({ bench }) => Object.keys(bench?.electrical.wires ?? {}).length > 0)
  if (!some) return null
  const drawing = (): SVGSVGElement | null => document.querySelector('[data-plate="The wiring"] svg')
  const text = (name: string, content: string, type: string): void => download(name, new TextEncoder().encode(content), type)
  const svg = (): void => {
    const node = drawing()
    if (node !== null) text('wiring.svg', drawingAsSvg(node), 'image/svg+xml')
  }
  const png = async (): Promise<void> => {
    const node = drawing()
    if (node === null) return
    try {
      download('wiring.png', await drawingAsPng(node), 'image/png')
      say(DONE)
    } catch (error) {
      say(told(`The picture could not be made: ${reasonOf(told(String(error)))}. Take the SVG, or print the sheet.`))
    }
  }
  return (
    <div className="no-print">
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          onClick={() => void wiringToCsv().then((it) => text('wiring.csv', it, 'text/csv'))}
        >
          Wiring list
        </button>
        <button type="button" className="button" onClick={svg}>
          Drawing as SVG
        </button>
        <button type="button" className="button" onClick={() => void png()}>
          Drawing as PNG
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          Print
        </button>
      </div>
      <Findings findings={said} />
    </div>
  )
}
