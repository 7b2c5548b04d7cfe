import { config } from 'zod'

// The page's policy forbids `new Function`, which Zod would try. Imported first wherever Zod runs in a browser.
config({ jitless: true })
