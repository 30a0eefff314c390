/** ms after which what a bench usually loads has been loaded. */
const settled = 3000

/**
 * Lets the bench survive a reload while Mantle is away. Browsers allow that on secure pages only: on the computer Mantle runs
 * on, or behind HTTPS.
 */
export function useOfflineBench() {
  if (isSecureContext && 'serviceWorker' in navigator)
    onMounted(async () => {
      try {
        await navigator.serviceWorker.register('/bench-sw.js', { scope: '/bench/' })
        const worker = (await navigator.serviceWorker.getRegistration('/bench/'))!
        setTimeout(() => {
          const loaded = performance
            .getEntriesByType('resource')
            .map((entry) => entry.name)
            .filter((url) => url.includes('/_nuxt/'))
          worker.active?.postMessage({
            keep: [...new Set(loaded), '/bench/', '/api/workshop', '/api/materials'],
          })
        }, settled)
      } catch {
        // switched off in this browser: the run is on the server all the same
      }
    })
}
