import { unzlibSync } from 'fflate'

/** A mark for a tool handle as a general drawing tool saved it: lines, arcs and circles one by one, in centimetres, without saying so. Packed. */
const PACKED = [
  'eNq9lk1PwzAMhu/+FTlwJcp322PXBlGptLB1aDuOIXGYAGmI/4+bpVs31AgJZbfUr2M/dty0hDBY2KKr2gYIEXBv89LOcZnBjV11DxWaOQNGWaaBCAa3',
  'nCZMnxzylXPQNGXewftiYNuUGNstxzm6fFbbhTO7pTPW+brPmzAQ+rDbW1Cbbba7t/3n98crECOAX8jvm/3uyyliSItxQwS26aqu8gxFNS8cRDpEIgaK',
  'Fl2aZbtc+PqzoThcqN6QApEZMJeX/SeQ0b8iPbb1uq4a+yvCKbTi/aFgK5Twi8NuY3x/nu28s6vzpJxKPSliSdp36gn7FgfEDLmUDohJbBBOxTTISEzi',
  'dyQLdSRwNPm8+Puo9XW4YZPJcdo4wyDb8iXfb4FoBtLQ1GS4R3PgSlIu402kGOZRXSq6f7HGWrzeT0Mczz+NjUBVgGIk8uggqQqAnMTYIJIKMwkyFuOD',
  'mDQAchJjg6g+wwTHUYs/qopqEeDQ4nr9yFQAJLvaqGoqTeAek+Z6IEkaAEmmR3XR1lU5TntIMr4CMSDn/V2EBj4Y3K+WEP0jVolfioMuveH8z8u2d/AD',
  'jbf5tw==',
].join('')

/** The bytes of its file, as they are among the tests' fixtures. */
export function handleMark(): Uint8Array {
  return unzlibSync(Uint8Array.from(atob(PACKED), (it) => it.charCodeAt(0)))
}

/** What it is known by: SHA-256. */
export const HANDLE_PRINT = 'c3755edf562224f06181d30aa364a69842b573747f9751b50bb0ce245eef20db'
