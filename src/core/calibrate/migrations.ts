import { thenBlank, thenChosen, thenGuess, type Migration } from '../bench'

const NOT_STOPPED = { went: thenChosen(null), seconds: thenBlank('ms'), reach: thenBlank('mm') }
const mm = (value: number) => thenGuess(value, String(value), 'mm')
const mmPerS = (value: number) => thenGuess(value, String(value), 'mm/s')
const WITH_TRIALS = {
  spans: {},
  visibleFrom: thenBlank('percent'),
  marksFrom: thenBlank('percent'),
  delaySlowest: mmPerS(10),
  delayFastest: mmPerS(60),
  outlineSmall: mm(20),
  outlineLarge: mm(80),
  gapAllowed: mm(0.1),
  circleLarge: mm(80),
  circleSmall: mm(20),
  rectangleWidth: mm(110),
  rectangleDepth: mm(80),
  scanFastest: mmPerS(60),
  movesField: mm(100),
  bandsFastest: mmPerS(200),
  goodDays: thenGuess(180 * 86_400, '180', 'd'),
  goodHours: thenGuess(200 * 3600, '200', 'h'),
  hours: thenBlank('h'),
  trials: { delay: {}, outline: {}, circle: {}, rectangle: {}, alternate: {}, moves: {}, bands: {} },
  stops: { stop: NOT_STOPPED, lid: NOT_STOPPED },
}

export const calibrateMigrations: readonly Migration[] = [
  {
    to: 2,
    why: 'a bench got scale runs',
    up: () => ({
      wantedShare: thenGuess(0.001, '0.1', 'percent'),
      sightPower: thenGuess(0.01, '1', 'percent'),
      rampTo: thenGuess(0.3, '30', 'percent'),
      markPower: thenBlank('percent'),
      markSpeed: thenGuess(20, '20', 'mm/s'),
      startX: thenGuess(12, '12', 'mm'),
      startY: thenGuess(12, '12', 'mm'),
      runs: {},
      applied: {},
    }),
  },
  { to: 9, why: 'a bench got the readings of its power curve', up: (calibrate) => ({ ...calibrate, curve: {} }) },
  {
    to: 10,
    why: 'a bench got trials of delays, closure, shape and limits',
    up: (calibrate) => ({ ...calibrate, ...WITH_TRIALS }),
  },
  {
    to: 11,
    why: 'a bench got focus ramps and step wedges',
    up: (calibrate) => ({
      ...calibrate,
      focusBy: '',
      focusLift: mm(12),
      focusRun: mm(140),
      kerfPiece: mm(10),
      kerfSpeed: mmPerS(4),
      kerfPower: thenGuess(1, '100', 'percent'),
      wedgeSlowest: mmPerS(2),
      wedgeFastest: mmPerS(100),
      wedgeDrop: mm(20),
      trials: { ...(calibrate['trials'] as object), focus: {}, wedge: {}, pointer: {}, kerf: {} },
    }),
  },
]
