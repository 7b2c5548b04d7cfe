import { looksLikeProgram, readDxf, readProgramDrawing, readSvg, type Drawing } from '../core/artwork'
import { refused, type Outcome } from '../core/units'
import { decodeText } from './decode'
import { pictureHead, type PictureHead } from './pictureHead'
import { xmlNode } from './xml'

/** Larger files than this are not read, bytes. */
const MOST_BYTES = 64 * 1024 * 1024
/** Pictures of more pixels are not decoded: they fill the memory of a browser, and no burn shows them. */
const MOST_PIXELS = 64_000_000

/** Endings of files that are artwork. */
export const ARTWORK = /\.(svg|dxf|png|jpe?g|webp)$/i

/** Artwork as far as it is read without a browser: a drawing whole, of a picture what its head says. */
export type ArtworkFile =
  { readonly kind: 'drawing'; readonly drawing: Drawing } | { readonly kind: 'picture'; readonly head: PictureHead }

/**
 * Reads a file of artwork by what is in it, whatever its ending. @param name For the words. @returns What it holds with all that was left
 * out, or why it cannot be used.
 */
export function readArtwork(bytes: Uint8Array, name: string): Outcome<ArtworkFile> {
  if (bytes.length === 0) return refused('empty', `“${name}” is empty. Save it again in the tool that drew it.`)
  if (bytes.length > MOST_BYTES) {
    return refused('too-large', `“${name}” has more than 64 MB. Take out what is not burnt, or save it with less detail.`)
  }
  const head = pictureHead(bytes)
  if (head !== null) return pictureOf(head, name)
  const text = decodeText(bytes, name)
  if (!text.ok) {
    return refused(
      'no-artwork',
      `“${name}” is no artwork that is read here. Take an SVG, a DXF in text form, a program, a PNG, a JPEG or a WebP.`,
    )
  }
  const drawing = drawingOf(text.value)
  if (!drawing.ok) return { ok: false, findings: drawing.findings.map((it) => ({ ...it, message: `“${name}”: ${it.message}` })) }
  return { ok: true, value: { kind: 'drawing', drawing: drawing.value }, findings: [...text.findings, ...drawing.findings] }
}

function pictureOf(head: PictureHead, name: string): Outcome<ArtworkFile> {
  const { width, height } = head
  if (width === 0 || height === 0) return refused('no-size', `“${name}” says no size: it is damaged. Save it again.`)
  if (width * height > MOST_PIXELS) {
    const millions = Math.round((width * height) / 1e6)
    return refused(
      'too-many-pixels',
      `“${name}” has ${millions} million pixels, and 64 are read. Make it smaller: 10 pixels to a millimetre of the burn are plenty.`,
    )
  }
  return { ok: true, value: { kind: 'picture', head }, findings: [] }
}

function drawingOf(text: string): Outcome<Drawing> {
  if (isXml(text)) return svgOf(text)
  return looksLikeProgram(text) ? readProgramDrawing(text) : readDxf(text)
}

function isXml(text: string): boolean {
  return /^\uFEFF?\s*</.test(text)
}

function svgOf(text: string): Outcome<Drawing> {
  const node = xmlNode(text)
  return node.ok ? readSvg(node.value) : node
}
