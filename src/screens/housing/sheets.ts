import { BoxGiven } from './BoxGiven'
import { BoxPlate } from './BoxPlate'
import { BoxSide } from './BoxSide'
import { DrawingGiven } from './DrawingGiven'
import { DrawingPlate } from './DrawingPlate'
import { DrawingSide } from './DrawingSide'
import { LidGiven } from './LidGiven'
import { LidPlate } from './LidPlate'
import { LidSide } from './LidSide'
import { PanelsGiven } from './PanelsGiven'
import { PanelsPlate } from './PanelsPlate'
import { PanelsSide } from './PanelsSide'
import { PortsGiven } from './PortsGiven'
import { PortsPlate } from './PortsPlate'
import { PortsSide } from './PortsSide'

/** Housing: what box, what panels, what window, from which sheets? */
export const sheets = {
  box: { plate: BoxPlate, given: BoxGiven, side: BoxSide },
  panels: { plate: PanelsPlate, given: PanelsGiven, side: PanelsSide },
  lid: { plate: LidPlate, given: LidGiven, side: LidSide },
  ports: { plate: PortsPlate, given: PortsGiven, side: PortsSide },
  drawing: { plate: DrawingPlate, given: DrawingGiven, side: DrawingSide },
}
