import { lazy, Suspense } from 'react'
import { useBenchStore, useSession, type MotionPart } from '../../state'
import { Parts, Sheet } from '../../ui'
import { BeltsGiven, BeltsPlate } from './Belts'
import { CrossedPlate } from './CrossedPlate'
import { DriveGiven } from './DriveGiven'
import { MotionGiven } from './Given'
import { MachinePlate } from './MachinePlate'
import { MirrorPlate } from './MirrorPlate'
import { MotionSide } from './Side'
import { SquareGiven, SquarePlate } from './Square'

const TorqueChart = lazy(async () => ({ default: (await import('./TorqueChart')).TorqueChart }))

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
