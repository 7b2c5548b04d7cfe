import { HeightGiven } from './HeightGiven'
import { HeightPlate, HoldingPlate } from './HeldPlate'
import { HeightSide } from './HeightSide'
import { HoldersGiven, HoldersPlate, HoldersSide } from './Holders'
import { HoldingGiven } from './HoldingGiven'
import { HoldingSide } from './HoldingSide'
import { ObjectGiven } from './ObjectGiven'
import { ObjectPlate } from './ObjectPlate'
import { ObjectSide } from './ObjectSide'
import { StationsGiven, StationsPlate, StationsSide } from './PlateOfStations'
import { RunGiven } from './RunGiven'
import { RunPlate } from './RunPlate'
import { RunSide } from './RunSide'
import { UnrolledGiven, UnrolledSide } from './Unrolled'
import { UnrolledPlate } from './UnrolledPlate'
import { TurningGiven } from './TurningGiven'
import { TurningPlate } from './TurningPlate'
import { TurningSide } from './TurningSide'

/** Rotary: how does it hold, turn, and stay in focus? */
export const sheets = {
  object: { plate: ObjectPlate, given: ObjectGiven, side: ObjectSide },
  holding: { plate: HoldingPlate, given: HoldingGiven, side: HoldingSide },
  height: { plate: HeightPlate, given: HeightGiven, side: HeightSide },
  turning: { plate: TurningPlate, given: TurningGiven, side: TurningSide },
  holders: { plate: HoldersPlate, given: HoldersGiven, side: HoldersSide },
  plate: { plate: StationsPlate, given: StationsGiven, side: StationsSide },
  unrolled: { plate: UnrolledPlate, given: UnrolledGiven, side: UnrolledSide },
  run: { plate: RunPlate, given: RunGiven, side: RunSide },
}
