import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // Small fonts and pictures stay files: the page's policy allows no data: fonts.
  build: {
    assetsInlineLimit: 0,
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    // Zod and its setting run before any module that builds a schema, whatever chunk that lands in.
    rolldownOptions: {
      output: { codeSplitting: { groups: [{ name: 'zod', test: /node_modules.zod|zodPolicy/, priority: 9 }] } },
    },
  },
  worker: { format: 'es' },
})
