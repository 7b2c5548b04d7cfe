/** What of a drawing's look stands in style sheets and has to go with it. */
const LOOK = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-family',
  'font-size',
  'font-weight',
  'font-stretch',
  'opacity',
]

/** A drawing of the page as an SVG file of its own: its inks are put in as they are on paper, in light. */
export function drawingAsSvg(svg: SVGSVGElement): string {
  const theme = document.documentElement.dataset['theme']
  // The inks of the light sheet, whatever is on the screen.
  document.documentElement.dataset['theme'] = 'light'
  try {
    const copy = svg.cloneNode(true) as SVGSVGElement
    const [own, copied] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')]
    own.forEach((node, i) => {
      const style = getComputedStyle(node)
      const target = copied[i]
      if (target === undefined) return
      for (const key of LOOK) target.setAttribute(key, style.getPropertyValue(key))
      for (const attribute of ['class', 'style', 'tabindex', 'role']) target.removeAttribute(attribute)
    })
    const { width, height } = svg.viewBox.baseVal
    copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
    copy.setAttribute('width', String(width))
    copy.setAttribute('height', String(height))
    for (const attribute of ['class', 'style', 'role']) copy.removeAttribute(attribute)
    return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`
  } finally {
    if (theme === undefined) delete document.documentElement.dataset['theme']
    else document.documentElement.dataset['theme'] = theme
  }
}

/** The same as a PNG, twice as fine as it is drawn. @throws {Error} where the browser cannot draw it. */
export async function drawingAsPng(svg: SVGSVGElement): Promise<Uint8Array> {
  const { width, height } = svg.viewBox.baseVal
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawingAsSvg(svg))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  ;[canvas.width, canvas.height] = [Math.ceil(width * 2), Math.ceil(height * 2)]
  const pen = canvas.getContext('2d')
  if (pen === null) throw new Error('this browser cannot draw a picture')
  pen.fillStyle = '#fff'
  pen.fillRect(0, 0, canvas.width, canvas.height)
  pen.drawImage(image, 0, 0, canvas.width, canvas.height)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  if (blob === null) throw new Error('this browser could not make a PNG of it')
  return new Uint8Array(await blob.arrayBuffer())
}
