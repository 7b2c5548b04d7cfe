import { lazy, Suspense } from 'react'
import { useBenchStore } from '../../state'
import { later } from '../../ui'
import { MotionGiven } from './Given'
import { MachinePlate } from './MachinePlate'
import { MachineSide } from './Side'

const TorqueChart = lazy(async () => ({ default: (await import('./TorqueChart')).TorqueChart }))
const CrossedPlate = later(async () => (await import('./CrossedPlate')).CrossedPlate)
const MirrorPlate = later(async () => (await import('./MirrorPlate')).MirrorPlate)
const DriveGiven = later(async () => (await import('./DriveGiven')).DriveGiven)
const DriveSide = later(async () => (await import('./SideOfPart')).DriveSide)
const BeltsSide = later(async () => (await import('./SideOfPart')).BeltsSide)
const SquareSide = later(async () => (await import('./SideOfPart')).SquareSide)
const BeltsPlate = later(async () => (await import('./Belts')).BeltsPlate)
const BeltsGiven = later(async () => (await import('./Belts')).BeltsGiven)
const SquarePlate = later(async () => (await import('./Square')).SquarePlate)
const WheelsPlate = later(async () => (await import('./WheelsPlate')).WheelsPlate)
const WheelsGiven = later(async () => (await import('./WheelsGiven')).WheelsGiven)
const WheelsSide = later(async () => (await import('./SideOfPart')).WheelsSide)
const SquareGiven = later(async () => (await import('./Square')).SquareGiven)

export const sheets = {
  machine: { plate: Machine, given: MotionGiven, side: MachineSide },
  drive: { plate: Drive, given: DriveGiven, side: DriveSide },
  belts: { plate: BeltsPlate, given: BeltsGiven, side: BeltsSide },
  square: { plate: SquarePlate, given: SquareGiven, side: SquareSide },
  wheels: { plate: WheelsPlate, given: WheelsGiven, side: WheelsSide },
}

/** The machine as its kinematics have it. */
function Machine() {
  const kinematics = useBenchStore((it) => it.bench?.motion.kinematics.chosen)
  if (kinematics === 'crossed') return <CrossedPlate />
  return kinematics === 'mirrors' ? <MirrorPlate /> : <MachinePlate />
}

function Drive() {
  return (
    <Suspense fallback={<p className="h-[340px] py-6 text-second">Loading the chart …</p>}>
      <TorqueChart />
    </Suspense>
  )
}
