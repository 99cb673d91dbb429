import vue from '@vitejs/plugin-vue'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vitest/config'
import { tabletCore } from './build/tabletCore.ts'

const isTest = !!process.env.VITEST

export default defineConfig({
  plugins: [
    vue(),
    tabletCore(),
    !isTest &&
      VitePWA({
        strategies: 'injectManifest',
        srcDir: 'src/app',
        filename: 'serviceWorker.ts',
        // A newer version is offered; nobody is interrupted by it.
        registerType: 'prompt',
        injectRegister: false,
        injectManifest: {
          globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
          globIgnores: ['tablet/**'],
          rollupFormat: 'iife',
        },
        manifest: {
          name: 'Zero Drift',
          short_name: 'Zero Drift',
          description: 'Valve clearances of a fleet: measured, trended, planned.',
          start_url: '/',
          display: 'standalone',
          background_color: '#F4F3EE',
          theme_color: '#F4F3EE',
          icons: [
            { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
            { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
            { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          ],
        },
      }),
  ],
  build: { target: 'es2022', chunkSizeWarningLimit: 900 },
  worker: { format: 'es' },
  css: { preprocessorOptions: { scss: { quietDeps: true } } },
  test: {
    environment: 'happy-dom',
    include: ['src/**/*.test.ts'],
    restoreMocks: true,
    unstubGlobals: true,
    // One page for all files of a thread: a page each took six times as long, and on a busy machine one did not open in time.
    pool: 'threads',
    isolate: false,
    setupFiles: ['src/ownModules.ts'],
  },
  server: { proxy: { '/api': 'http://127.0.0.1:5080', '/tablet': 'http://127.0.0.1:5080' } },
})
