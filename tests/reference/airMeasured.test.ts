import { randomLcg, randomNormal, randomUniform } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { coverageFactor } from '../../src/core/bench'
import {
  fanFromReadings,
  fanPressure,
  flowFromReadings,
  leakFromReadings,
  solveAir,
  type AirMeters,
  type AirNetwork,
  type AirReading,
  type FanCurve,
  type FromReadings,
} from '../../src/core/air'

import { drawAir, readingOfAir, type HiddenAir } from '../../src/core/workshop'

const SYSTEMS = 200
const READ = 10

/** A drawn box with a hidden leak, and a fan that its label knows nothing of. */
interface Hidden {
  readonly leak: number
  readonly curve: FanCurve
  readonly network: (inlet: number) => AirNetwork
}

function hidden(draw: (low: number, high: number) => number): Hidden {
  const leak = draw(8, 60)
  const curve = [
    { flow: 0, pressure: draw(150, 350) },
    { flow: draw(200, 400) / 3600, pressure: 0 },
  ]
  const ducts = [
    { kind: 'duct', diameter: draw(90, 130), length: draw(1500, 5000), roughness: draw(0.05, 3), slack: draw(1, 3) } as const,
    { kind: 'fitting', diameter: 100, k: draw(1, 3) } as const,
  ]
  const network = (inlet: number): AirNetwork => ({
    rooms: { room: 0, outside: 0 },
    branches: [
      { id: 'leaks', from: 'room', to: 'box', parts: [{ kind: 'gap', area: leak }] },
      ...(inlet === 0 ? [] : [{ id: 'inlet', from: 'room', to: 'box', parts: [{ kind: 'gap', area: inlet } as const] }]),
      { id: 'hose', from: 'box', to: 'fan', parts: ducts },
      { id: 'fan', from: 'fan', to: 'outside', parts: [{ kind: 'fan', curve }] },
    ],
  })
  return { leak, curve, network }
}

const METERS: AirMeters = { outArea: 78.5, inletArea: 100, scale: 0.03 }

describe(`${SYSTEMS} drawn duct systems, each read ${READ} times`, () => {
  const source = randomLcg(1938)
  const draw = (low: number, high: number): number => randomUniform.source(source)(low, high)()
  const noise = (u: number): number => randomNormal.source(source)(0, u)()
  const held = { leak: 0, flow: 0, fan: 0 }
  const covers = ({ value, u, dof }: FromReadings, truth: number): number =>
    Math.abs(value - truth) <= coverageFactor(dof) * u ? 1 : 0

  for (let system = 0; system < SYSTEMS; system++) {
    const { leak, curve, network } = hidden(draw)
    const settings = [0, 40, 100].map((inlet) => {
      const solved = solveAir(network(inlet))
      if (!solved.ok) throw new Error(solved.findings[0]?.message)
      const { flows, pressures } = solved.value
      return { inlet, out: flows['fan']!, by: flows['inlet'] ?? 0, below: -pressures['box']!, suction: -pressures['fan']! }
    })
    for (let time = 0; time < READ; time++) {
      // One anemometer is wrong by one share throughout; what it reads at each place scatters besides.
      const scale = 1 + noise(METERS.scale)
      const read = ({ out, by, below, suction }: (typeof settings)[number]): AirReading => ({
        out: ((out * 1e4) / METERS.outArea) * scale + noise(0.05),
        inlet: by === 0 ? 0 : ((by * 1e4) / METERS.inletArea) * scale + noise(0.05),
        below: below + noise(0.2),
        suction: suction + noise(1),
      })
      const readings = [...settings, ...settings, ...settings].map(read)
      const open = Array.from({ length: 5 }, () => read(settings[2]!))
      held.leak += covers(leakFromReadings(readings, METERS), leak)
      held.flow += covers(flowFromReadings(open, METERS), settings[2]!.out)
      held.fan += covers(fanFromReadings(readings, METERS, settings[1]!.out), fanPressure(curve, settings[1]!.out))
    }
  }

  it.each(['leak', 'flow', 'fan'] as const)('the 95 % of its %s cover in 93 to 97 %', (what) => {
    const share = held[what] / (SYSTEMS * READ)
    expect(share).toBeGreaterThanOrEqual(0.93)
    expect(share).toBeLessThanOrEqual(0.97)
  })
})

it('without scatter and without a scale the leak is that of the box', () => {
  const readings = [2, 5, 9].map((below) => ({
    out: (0.61 * 25e-4 * Math.sqrt((2 * below) / 1.204) * 1e4) / 78.5,
    inlet: 0,
    below,
    suction: 0,
  }))
  const found = leakFromReadings(readings, { outArea: 78.5, inletArea: 100, scale: 0 })
  expect(found.value).toBeCloseTo(25, 9)
  expect(found.u).toBeLessThan(1e-9)
})

it('the stand-in’s air, read without noise by its own laws, gives its gaps and its fan back', () => {
  for (let number = 1; number <= 40; number++) {
    const air: HiddenAir = { ...drawAir(number), scale: 0, speedNoise: 0, columnNoise: 0 }
    const asked = { outArea: 78.5e-4, inletArea: 60e-4 }
    const readings = [0, 0.5, 1].map((open) => readingOfAir(air, { ...asked, open }, () => 0.5))
    const meters = { outArea: 78.5, inletArea: 60, scale: 0 }
    expect(leakFromReadings(readings, meters).value / (air.gaps * 1e4)).toBeCloseTo(1, 6)
    // What the fan gives there is what stands before it and what it pushes through behind: only the suction is read.
    const flow = readings[1]!.out * asked.outArea
    const gives = air.shutOff * (1 - flow / air.freeFlow)
    expect(readings[1]!.suction + air.behind * flow * flow).toBeCloseTo(gives, 3)
  }
})
