import { unzlibSync } from 'fflate'
import type { BenchRecord } from '../core/bench'
import type { FileRow } from './database'

/** A rack for dibbers as the shed’s router was to cut it, and as it was made for the beam. Packed. */
const CUT = [
  'eNq1UrtuwzAQ2/UVHNshhU5+6gcitICXdnG6NbWLFB0MuP1/lCfJSRAE8ZTB0JlH8kRJD8P3fj/OmD8+f/A1zfg7jPg9jAOGaZofTXCC4C2CNKYr8CbOWmu6',
  '1gSL98oE7xFaQe8sdgWhTYlXwdaV1vRSRjAXNQtlcQ0tv6S36GvBrmQpVGdpcAuM540IXiy2nnMjx61wjsbCvV9zzvht6+uko3eToqmKvRi3JUQBRz1Vid7z',
  '4JiXlDOl0taVCl0q1W1dqTu7VOq5u6xUYp0Cp4thM+ujZeJms4WQ/6rlQrXQC439Jqt0laWRmafJZ8OKu46KqTtvupSdKB8sCf9LgZrG',
].join('')
const BURNT = [
  'eNqFlltu4zAMRf+9Cm9gAsuWbGYDE8wAAQr0p93/RsrXjcNbpP2KcvSgSZ9Qua1tul2X6dYO/ezTfUy3Zf5Yl/lzW6b7Nr/LorN9flsuDbOt/z69v5y2s1/P',
  '7m3+7MNnd5tdgeZ/f1qb/y/z32PV3Rlq/b48GdZj6XE+89osYUOXfT8Ua3TDOu24XbZtU7wGHolXRVugAygP0MIZ9kIq3vKAeLAN4bqiPRBC9TzgCIxQIw+Q',
  'wAi3K7oGQqg9DuiRWUeoIw7okVlHOFEUWXWEkjwgMusIdc0DIrOe4USLqOWOYW6MjLBRsng9MkIY0eL1yAYPI1m8Hhnh0SWLpxufExUt3ohsUA7J4o3ICMWT',
  'LN6IjFBq0eKNyAYvRLJ4I94TXp9k8UZkhpctWrwRWUEJyeKNyAwCSRZvRGbQ7Zrih49WSvLRUXXRUfXQUfXQUXXQUfXPUfXPUXXPUfXOUfXORajOOaq+Oaq+',
  'OaquOfrBs++OGSK/DJFfhsgtReyVIfLKEDlliHwyRD4ZIpcMkUeGyCND5JCh6o+h0x+zif1J79ihtJQ9Up/ZozSfXcrfCftk7Yh8QuMip9DmyCtriORV/vrZ',
  'LfQK8su6CvmF/sOO5QEvPXt0vOraoz9W37yTVt8ePbc6hw5N3lkvJ+/Q9ck93BHkn90m5B/uHXIQtxR5aPcZeYibj1zEPUk+2o16+mjXul7MNhzn0P8L2H2N',
  '21735crnfwu0otkJGdzHGsbHtjYf307JYXtacW6sYfSLj+/r9AWELc5u',
].join('')

const AT = '2026-11-21T17:20:00.000Z'

/** How the rack was made for the beam. */
export const RACK_WISH = {
  level: 0,
  rapids: 'dark',
  still: 'lit',
  power: { depths: [0, 3], powers: [0.2, 0.8] },
  feed: 12,
  dotSeconds: 0.1,
  passes: 'once',
  times: 1,
} as const

/** Before and after, as texts. */
export function rackPrograms(): { readonly cut: string; readonly burnt: string } {
  return { cut: unpacked(CUT), burnt: unpacked(BURNT) }
}

/** The record of it, with both files. */
export function ploverRack(benchId: string): { readonly record: BenchRecord; readonly files: readonly FileRow[] } {
  const recordId = `${benchId}-rack`
  const { cut, burnt } = rackPrograms()
  const file = (id: string, name: string, text: string): FileRow => ({
    id: `${recordId}-${id}`,
    benchId,
    recordId,
    name,
    type: 'text/plain',
    bytes: new TextEncoder().encode(text),
  })
  return {
    record: {
      id: recordId,
      benchId,
      stage: 'work',
      at: AT,
      title: 'Program handed out: program made for the beam',
      note: 'The dibber rack, drawn for the router: outline, rings and veins burnt by their depth, holes as dots to drill after.',
      redo: 'Write the program again: program made for the beam.',
      read: [],
      gave: [],
      beneath: [],
    },
    files: [file('cut', 'dibber-rack.nc', cut), file('burnt', 'program-made-for-the-beam.nc', burnt)],
  }
}

function unpacked(text: string): string {
  return new TextDecoder().decode(unzlibSync(Uint8Array.from(atob(text), (it) => it.charCodeAt(0))))
}
