/** npm run perf: every figure a ratio to a baseline of the same run; a table, and JSON in .reports. */
import { mkdirSync, writeFileSync } from 'node:fs'
import { timeEngine } from './engine'
import { timeBurn } from './burn'
import { timeCard } from './card'
import {
  longestBlockTask,
  longestDragTask,
  longestDuctTask,
  longestHeightTask,
  longestWallTask,
  longestWireTask,
  timeDrag,
} from './drag'
import { timeEdits } from './edit'
import { chromium } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { FIRST_PICTURE_KB, scriptBeforeFirstPicture } from '../scripts/firstPicture'
import { serveBuild } from '../scripts/serveBuild'
import { longestPartsTask } from './parts'
import { timeConversion, timeProgram, timeViewer } from './program'
import { longestTurningTask } from './turning'
import { timeScale } from './scale'
import { heron } from '../src/data/heron'
import { plover } from '../src/data/plover'
import { timeLog } from './log'
import { longestOrderTask } from './order'
import { nestingShare, sweptShare, timeDrawing, timeScan, tourShare } from './work'

const RUNS = 9
const BUDGET = FIRST_PICTURE_KB * 1024

async function firstPicture(): Promise<number> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  const bytes = await scriptBeforeFirstPicture(browser, home)
  await browser.close()
  close()
  return bytes
}

interface Row {
  readonly what: string
  readonly ratio: number
  readonly atMost: number
  readonly detail: string
}

const engine = timeEngine(RUNS)
const script = await firstPicture()
const program = timeProgram(5)
const conversion = timeConversion(5)
const viewer = await timeViewer(5)
const drag = timeDrag(9)
const dragTask = await longestDragTask(5)
const blockTask = await longestBlockTask(5)
const wireTask = await longestWireTask(5)
const heightTask = await longestHeightTask(5)
const ductTask = await longestDuctTask(5)
const wallTask = await longestWallTask(5)
const burn = timeBurn(7)
const cardRead = timeCard(5)
const scan = timeScan(4000, 3)
const drawing = timeDrawing(100_000, 5)
const swept = Math.max(sweptShare(heron()), sweptShare(plover()))
const tour = tourShare(500)
const nesting = nestingShare()
const orderTask = await longestOrderTask(3)
const turningTask = await longestTurningTask(3)
const partsTask = await longestPartsTask(5)
const log = await timeLog(3)
const scale = timeScale(15)
const edit = await timeEdits(15)
const rows: readonly Row[] = [
  {
    what: 'values and ± after one changed fact, to a full evaluation',
    ratio: engine.afterChangeMs / engine.fullMs,
    atMost: 0.35,
    detail: `${engine.touched} of ${engine.figures} figures worked again, ${engine.facts} facts; median of ${RUNS}`,
  },
  {
    what: `script before the first picture, to ${FIRST_PICTURE_KB} kB gzipped`,
    ratio: script / BUDGET,
    atMost: 1,
    detail: `${Math.round(script / 1024)} kB`,
  },
  {
    what: 'reading a million blocks, to splitting and parsing alone',
    ratio: program.read,
    atMost: 0.6,
    detail: 'median of 5',
  },
  {
    what: 'reading and planning them, to the same',
    ratio: program.readAndPlan,
    atMost: 1.1,
    detail: 'median of 5',
  },
  {
    what: 'peak memory meanwhile, to 500 MB',
    ratio: program.peakMegabytes / 500,
    atMost: 1,
    detail: `${Math.round(program.peakMegabytes)} MB`,
  },
  {
    what: 'longest task of the page meanwhile, to 50 ms',
    ratio: viewer.longestTask / 50,
    atMost: 1,
    detail: `${Math.round(viewer.longestTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'lines standing in the listing of a million after a jump, to 100 ms',
    ratio: viewer.scroll / 100,
    atMost: 1,
    detail: `${Math.round(viewer.scroll)} ms, median of 45`,
  },
  {
    what: 'making a million blocks for a cutter into steps for the beam, to splitting and parsing alone',
    ratio: conversion,
    atMost: 1,
    detail: 'median of 5',
  },
  {
    what: 'one step of dragging a dimension of the demo, to a full evaluation of its bench',
    ratio: drag,
    atMost: 0.35,
    detail: 'median of 9',
  },
  {
    what: 'longest task of the page while it is dragged, to 50 ms',
    ratio: dragTask / 50,
    atMost: 1,
    detail: `${Math.round(dragTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'longest task of the page while a block of the wiring is dragged and let go, to 50 ms',
    ratio: blockTask / 50,
    atMost: 1,
    detail: `${Math.round(blockTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'longest task of the page while the length of a wire is dragged and let go, to 50 ms',
    ratio: wireTask / 50,
    atMost: 1,
    detail: `${Math.round(wireTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'longest task of the page while the material is dragged through the beam and let go, to 50 ms',
    ratio: heightTask / 50,
    atMost: 1,
    detail: `${Math.round(heightTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'longest task of the page while the end of a duct is dragged and let go, to 50 ms',
    ratio: ductTask / 50,
    atMost: 1,
    detail: `${Math.round(ductTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'longest task of the page while the height of the box is dragged and let go, to 50 ms',
    ratio: wallTask / 50,
    atMost: 1,
    detail: `${Math.round(wallTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'burning a scanned area into a map, to adding as many samples one behind the other',
    ratio: burn,
    atMost: 4,
    detail: 'median of 7',
  },
  {
    what: 'reading a card from twelve megapixels, to one pass over its bytes',
    ratio: cardRead,
    atMost: 30,
    detail: 'median of 5',
  },
  {
    what: 'planning the scan of a picture of 4,000 × 4,000, to writing its program',
    ratio: scan.ratio,
    atMost: 3,
    detail: `${scan.blocks.toLocaleString('en')} blocks, median of 3`,
  },
  {
    what: 'reading a drawing of 100,000 segments, to parting its text into words',
    ratio: drawing,
    atMost: 3,
    detail: 'median of 5',
  },
  {
    what: 'time of the demos’ work orders, to what their beam sweeps',
    ratio: swept,
    atMost: 1.15,
    detail: 'the larger of both',
  },
  {
    what: 'dark way of 500 pieces, to its bound by 1-trees',
    ratio: tour,
    atMost: 1.08,
    detail: 'places at random',
  },
  {
    what: 'height of layouts of sheets that were cut up, to those sheets',
    ratio: nesting,
    atMost: 1.05,
    detail: 'mean of 18, 8 to 30 boxes',
  },
  {
    what: 'longest task of the page while a work order is changed, laid out and given a file, to 50 ms',
    ratio: orderTask / 50,
    atMost: 1,
    detail: `${Math.round(orderTask)} ms, median of 3 visits; 0: none over 50 ms`,
  },
  {
    what: 'longest task of the page while an object with its order on it is turned, to 50 ms',
    ratio: turningTask / 50,
    atMost: 1,
    detail: `${Math.round(turningTask)} ms, median of 3 visits; 0: none over 50 ms`,
  },
  {
    what: 'longest task of the page while 10,000 parts are taken from a file, to 50 ms',
    ratio: partsTask / 50,
    atMost: 1,
    detail: `${Math.round(partsTask)} ms, median of 5 visits; 0: none over 50 ms`,
  },
  {
    what: 'a log of 10,000 records and 500 pictures opened, later than a short one, to 1 s',
    ratio: log.laterMs / 1000,
    atMost: 1,
    detail: `${Math.round(log.laterMs)} ms, median of 3 visits; pictures of some 200 kB`,
  },
  {
    what: 'longest task of the page while that log is scrolled, to 50 ms',
    ratio: log.scrollMs / 50,
    atMost: 1,
    detail: `${Math.round(log.scrollMs)} ms, median of 3 visits; 0: none over 50 ms`,
  },
  {
    what: 'one edit of a bench five times the demo, answered by the page with its sheet drawn, to 16 ms',
    ratio: edit.answerMs / 16,
    atMost: 1,
    detail: `${edit.answerMs.toFixed(1)} ms; free again after ${edit.freeMs.toFixed(1)} ms, painting included; longest task then, where over 50: ${Math.round(edit.afterMs)} ms; median of 15`,
  },
  {
    what: 'all that follows from it in the core: figures with ±, verdicts, what is assumed and stale, to 16 ms',
    ratio: scale.editMs / 16,
    atMost: 1.5,
    detail: `${scale.editMs.toFixed(1)} ms, ${scale.facts} facts, ${scale.figures} figures with ±, 1,000 records; median of 15`,
  },
  {
    what: 'what 10,000 records cost, to ten times what 1,000 do',
    ratio: scale.tenfold / 10,
    atMost: 2,
    detail: 'median of 15; 1: linear; putting them in order takes n log n',
  },
]
console.table(
  rows.map(({ what, ratio, atMost, detail }) => ({
    what,
    ratio: Number(ratio.toFixed(3)),
    atMost,
    holds: ratio <= atMost,
    detail,
  })),
)
mkdirSync('.reports', { recursive: true })
writeFileSync('.reports/perf.json', `${JSON.stringify(rows, null, 2)}\n`)
process.exit(rows.every((it) => it.ratio <= it.atMost) ? 0 : 1)
