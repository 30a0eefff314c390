import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { build as bundle } from 'esbuild'
import type { Plugin } from 'vite'

/** What runs in a thread of its own beside the built server. */
const factsWorker = fileURLToPath(new URL('server/facts/worker.ts', import.meta.url))

/** Names every file of the app, so that a browser can keep all stations. The solver is large, and needs the server's library. */
function fileList(): Plugin {
  return {
    name: 'mantle-files',
    generateBundle(_, bundle) {
      const source = JSON.stringify(Object.keys(bundle).filter((file) => !file.endsWith('.wasm')))
      this.emitFile({ type: 'asset', fileName: '_nuxt/files.json', source })
    },
  }
}

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  ssr: false,
  // The frame of the page is there before the scripts.
  spaLoadingTemplate: 'spa-loading-template.html',
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
  css: ['~/assets/main.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  // The plugin is typed for a Vite whose plugin context says its version; Nuxt's type of it does not yet.
  vite: {
    plugins: [tailwindcss() as never, fileList() as never],
    // Nothing here uses Vue's options; without them the runtime is smaller.
    define: { __VUE_OPTIONS_API__: 'false' },
    build: {
      modulePreload: { polyfill: false },
      // Small modules that several stations share would each be a request of their own: fifty for the first page.
      rollupOptions: { output: { experimentalMinChunkSize: 3000 } },
    },
  },
  // Nothing is rendered on the server, so there is no payload to revive and no manifest to look after.
  experimental: {
    // Nothing is rendered on the server, so there is no payload to revive and no manifest to look after.
    appManifest: false,
    renderJsonPayloads: false,
    checkOutdatedBuildInterval: false,
    // The other stations load when somebody reaches for them, not with every page.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  nitro: {
    serverAssets: [
      {
        baseName: 'migrations',
        dir: fileURLToPath(new URL('server/db/migrations', import.meta.url)),
      },
      {
        // The files of the typeface that labels are set in.
        baseName: 'fonts',
        dir: fileURLToPath(
          new URL('node_modules/@fontsource/atkinson-hyperlegible-next/files', import.meta.url),
        ),
        pattern: 'atkinson-hyperlegible-next-latin{,-ext}-{400,700}-normal.woff',
      },
    ],
    compressPublicAssets: true,
    // In one bundle these start in half the time of 400 files.
    externals: {
      inline: ['date-fns', '@date-fns/tz', 'zod', 'uuid', 'pure-rand', 'ics'],
    },
  },
  hooks: {
    'nitro:init': (nitro) => {
      nitro.hooks.hook('compiled', async () => {
        await bundle({
          entryPoints: [factsWorker],
          outfile: `${nitro.options.output.serverDir}/facts.worker.mjs`,
          bundle: true,
          platform: 'node',
          format: 'esm',
          target: 'node20',
          logLevel: 'warning',
        })
      })
    },
  },
  typescript: { strict: true, typeCheck: false },
  app: {
    head: {
      title: 'Mantle',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: "A soapmaker's workshop" },
        { name: 'theme-color', content: '#20292b' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' },
        { rel: 'apple-touch-icon', href: '/icon-192.png' },
        // With its cookie: on the network it is a device's that was paired.
        { rel: 'manifest', href: '/manifest.webmanifest', crossorigin: 'use-credentials' },
      ],
    },
  },
})
