// Fetched where a part is saved as a solid.
export { meshToStl, revolve } from '../../core/air'
export { plateSolid } from '../../data/plateSolid'
