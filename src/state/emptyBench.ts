// A piece of its own: what makes a whole bench knows all of its slices, and no first picture makes one.
export { emptyBench } from '../core/document'
