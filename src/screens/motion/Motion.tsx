import { lazy, Suspense } from 'react'
import { useBenchStore, useSession, type MotionPart } from '../../state'
import { later, Parts, Sheet } from '../../ui'
import { MotionGiven } from './Given'
import { MachinePlate } from './MachinePlate'
import { MotionSide } from './Side'

const TorqueChart = lazy(async () => ({ default: (await import('./TorqueChart')).TorqueChart }))
const CrossedPlate = later(async () => (await import('./CrossedPlate')).CrossedPlate)
const MirrorPlate = later(async () => (await import('./MirrorPlate')).MirrorPlate)
const DriveGiven = later(async () => (await import('./DriveGiven')).DriveGiven)
const BeltsPlate = later(async () => (await import('./Belts')).BeltsPlate)
const BeltsGiven = later(async () => (await import('./Belts')).BeltsGiven)
const SquarePlate = later(async () => (await import('./Square')).SquarePlate)
const SquareGiven = later(async () => (await import('./Square')).SquareGiven)

const PARTS: readonly { readonly id: MotionPart; readonly name: string; readonly about: string }[] = [
  {
    id: 'machine',
    name: 'Machine',
    about: 'Point at an axis to bring its drive out; press in the frame to move the head; drag a dimension to change it.',
  },
  { id: 'drive', name: 'Drive train', about: 'Where torque, supply and step rate give out, on one chart.' },
  { id: 'belts', name: 'Belts by ear', about: 'Pluck the free span of a belt: its tone says how hard it pulls.' },
  { id: 'square', name: 'Square and level', about: 'Corners, gantry, play and bed: what slants, and by how much.' },
]

/** Motion: will it move truly? */
export function Motion() {
  const part = useSession((it) => it.motionPart)
  const { about } = PARTS.find((it) => it.id === part) ?? { about: '' }
  return (
    <Sheet
      question="Will it move truly?"
      about={about}
      plate={
        <>
          <Parts of="Motion" parts={PARTS} open={part} choose={(motionPart) => useSession.setState({ motionPart })} />
          {part === 'machine' && <Machine />}
          {part === 'drive' && (
            <Suspense fallback={<p className="h-[340px] py-6 text-second">Loading the chart …</p>}>
              <TorqueChart />
            </Suspense>
          )}
          {part === 'belts' && <BeltsPlate />}
          {part === 'square' && <SquarePlate />}
        </>
      }
      given={
        <>
          {part === 'machine' && <MotionGiven />}
          {part === 'drive' && <DriveGiven />}
          {part === 'belts' && <BeltsGiven />}
          {part === 'square' && <SquareGiven />}
        </>
      }
      side={<MotionSide part={part} />}
    />
  )
}

/** The machine as its kinematics have it. */
function Machine() {
  const kinematics = useBenchStore((it) => it.bench?.motion.kinematics.chosen)
  if (kinematics === 'crossed') return <CrossedPlate />
  return kinematics === 'mirrors' ? <MirrorPlate /> : <MachinePlate />
}
