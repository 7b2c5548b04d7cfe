import { config, z } from 'zod'

// The page's policy forbids code made from text, which Zod would try for speed. Whoever takes `z` from here has it set.
config({ jitless: true })

export { z }
