import { templateOf } from '../core/bench'
import { roundShape, tryShape, type Round } from '../core/round'
import { saidAir as said } from './airFacts'

const blank = templateOf(roundShape)

/** Heron's round: its switches were tried this week. */
export const heronRound: Round = {
  ...blank,
  extinguisher: said('co2'),
  room: said('worn'),
  tries: {
    lid: templateOf(tryShape, { order: 1, what: 'interlock', at: '2026-11-22T09:15:00.000Z', went: 'dark', note: '' }),
    stop: templateOf(tryShape, { order: 2, what: 'stop', at: '2026-11-22T09:18:00.000Z', went: 'dark', note: '' }),
    key: templateOf(tryShape, { order: 3, what: 'key', at: '2026-11-22T09:20:00.000Z', went: 'dark', note: '' }),
  },
}
