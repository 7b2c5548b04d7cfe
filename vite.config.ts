import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // After the first visit everything stands in the browser; a new version is offered and never forced.
    VitePWA({
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Fine Kerf',
        short_name: 'Fine Kerf',
        description: 'Plan, wire, calibrate and run a home-built diode laser engraver.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f2e9',
        theme_color: '#e9dfb9',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  // Small fonts and pictures stay files: the page's policy allows no data: fonts.
  build: {
    assetsInlineLimit: 0,
    // Only styles are listed with what is fetched later: the list of every piece of every screen would stand in the first one.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_, pieces, { hostType }) =>
        hostType === 'html' ? pieces : pieces.filter((it) => it.endsWith('.css')),
    },
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    // Zod and its setting run before any module that builds a schema, whatever chunk that lands in.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'zod', test: /node_modules.zod|core.zod/, priority: 9 },
            // What a bench holds stands in the first picture whatever is open: in one piece it packs better.
            {
              name: 'slices',
              test: /core.(?!rotary|air|housing|reach|round|log|faults)\w+.(\w*[sS]lice|gauges|blocks|logicNames|acts)\.ts|core.bench.domain\.ts/,
              priority: 5,
            },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
})
